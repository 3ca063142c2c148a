<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\KeptOfClient;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Wearing\Mark;
use HandGarden\Core\Wearing\Told;
use HandGarden\Core\Wearing\WearEnd;
use HandGarden\Core\Wearing\WearVerdict;
use HandGarden\Planning\Briefs;
use HandGarden\Planning\RoutineKind;
use HandGarden\Sitting\Envelope;
use HandGarden\Sitting\EventTime;
use HandGarden\Wearing\KeepWear;
use HandGarden\Wearing\MayWear;
use HandGarden\Wearing\Wear;
use HandGarden\Wearing\Wears;
use HandGarden\Wearing\WearSheet;
use HandGarden\Wearing\WearSheets;

/** What is worn at home: what may be put on today and by whom, what is on, and what is told of it. */
final readonly class HomeWears
{
    /** After so long nobody looks at a mark any more. */
    private const AGAIN_DAYS = '-1 day';

    public function __construct(
        private Wears $wears,
        private WearSheets $sheets,
        private KeepWear $keep,
        private MayWear $may,
        private Briefs $briefs,
        private CatalogueStore $catalogue,
        private KeptOfClient $kept,
    ) {
    }

    /** @return array{plans: list<array<string, mixed>>, on: list<array<string, mixed>>, marks: int, colour: int} */
    public function of(Client $client, \DateTimeImmutable $today): array
    {
        return [
            'plans' => $this->kept->get('wears-at-home', $client, fn (): array => array_map(
                fn (WearSheet $s): array => $this->plan($client, $s),
                $this->sheets->of($client),
            )),
            'on' => array_map(static fn (Wear $w): array => [
                'id' => $w->id,
                'plan' => $w->planId,
                'worn' => $w->worn->value,
                'hand' => $w->side->value,
                'on' => $w->onAt->format(\DATE_RFC3339),
                'off' => $w->offAt?->format(\DATE_RFC3339),
                'gone' => true === $w->end()?->hasMark(),
                'back' => true === $w->end()?->wantsBack(),
            ], $this->open($client, $today)),
            'marks' => WearEnd::MARK_MINUTES,
            'colour' => WearEnd::COLOUR_MINUTES,
        ];
    }

    /**
     * What comes of something worn: `on` or not put on, `off`, looked at `again`.
     *
     * @throws InvalidData
     */
    public function take(HomeUser $user, Client $client, Node $body, EventTime $time): void
    {
        $body->only('wear', 'plan', 'did', 'before', 'after', 'mark', 'early', 'gone', 'back');
        $id = Envelope::uuid($body->get('wear'));
        $wear = $this->wears->find($client, $id);
        $before = $wear?->verdict();
        $did = $body->get('did')->string();
        if ('on' === $did) {
            $wear ??= $this->begun($user, $client, $body, $time, id: $id);
        } elseif (null === $wear) {
            throw $body->get('wear')->fail('was never put on');
        } elseif ('off' === $did) {
            $wear->cameOff(
                $time->at,
                Wear::readLook($body->get('after')),
                $body->get('mark')->enum(Mark::class),
                $body->optional('early')?->text(Wear::EARLY_LETTERS) ?? '',
            );
        } else {
            $wear->lookedAgain(
                $body->optional('gone')?->enum(Told::class),
                $body->optional('back')?->enum(Told::class),
            );
        }
        $this->keep->keep($client, $wear, $before, $time);
    }

    /** @throws InvalidData */
    private function begun(HomeUser $user, Client $client, Node $body, EventTime $time, string $id): Wear
    {
        $plan = $this->wears->plan($client, $body->get('plan')->string())
            ?? throw $body->get('plan')->fail('is no plan of wearing');
        $look = Wear::readLook($body->get('before'));
        $actor = $user->actor();

        return new Wear(
            $id,
            $client->clinicId,
            $client->id,
            $plan->id,
            worn: $plan->worn,
            side: $plan->side,
            day: $time->day,
            onAt: $time->at,
            before: Wear::answers($look),
            person: $actor->kind,
            personId: $actor->id,
            receivedAt: $time->receivedAt,
        );
    }

    /** @return array<string, mixed> */
    private function plan(Client $client, WearSheet $sheet): array
    {
        $plan = $sheet->plan;
        $known = $this->briefs->known($client, RoutineKind::Home);

        return [
            'plan' => $plan->id,
            'worn' => $plan->worn->value,
            'name' => $this->catalogue->get()->nameOf($plan->rungId),
            'hand' => $plan->side->value,
            'minutes' => $plan->wears()->minutes,
            'night' => $plan->wears()->isNight,
            'look' => $plan->worn->lookAfter(),
            'when' => $plan->when,
            'alone' => !$plan->worn->isNeverAlone() && true === $known->value(
                'removes_device',
                null,
                $plan->side,
            ),
            'helpers' => array_map(
                static fn (Helper $h): string => $h->id,
                $this->may->signed($client, $plan->rungId, $plan->side),
            ),
            'waits' => $sheet->isHeld || [] !== $sheet->why,
        ];
    }

    /** @return list<Wear> that are on, or came off and are to be looked at once more */
    private function open(Client $client, \DateTimeImmutable $today): array
    {
        return array_values(array_filter(
            $this->wears->since($client, $today->modify(self::AGAIN_DAYS)),
            static fn (Wear $w): bool => $w->isOn() || WearVerdict::Waits === $w->verdict(),
        ));
    }
}

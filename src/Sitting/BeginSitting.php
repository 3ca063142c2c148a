<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\ClinicRepository;
use HandGarden\Account\ClinicSettings;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Progress\Symptoms;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Web\Clock;
use Symfony\Component\HttpFoundation\Request;

/** Begins a sitting: its items as they are planned, that it began, and the sheet that it is played from. */
final readonly class BeginSitting
{
    public const ASK_PAIN = 'Ask for pain now, 0 to 10.';

    public function __construct(
        private ClinicSettings $settings,
        private SittingRepository $sittings,
        private ScoreSheet $sheet,
        private StopSheet $stops,
        private ClinicRepository $clinics,
        private Who $who,
        private Clock $clock,
    ) {
    }

    /** Pain now, as a form tells it; null: it does not. */
    public static function pain(Request $request): ?int
    {
        return self::painIn($request, 'pain_before');
    }

    /** The same of a field by another name. */
    public static function painIn(Request $request, string $field): ?int
    {
        $pain = (string) $request->request->get($field, '');

        return 1 === preg_match('/^(10|\d)$/', $pain) ? (int) $pain : null;
    }

    /** One that begins now, and is not kept yet. */
    public function now(Client $client, int $painBefore): Sitting
    {
        return new Sitting(
            $client,
            $this->clock->today($client->zone),
            $painBefore,
            actor: $this->who->actor(),
            startedAt: $this->clock->now(),
        );
    }

    /**
     * @param list<Item>                                         $items
     * @param array<string, mixed>                               $said of its begin beside pain
     * @param ?\Closure(list<string>): array<string, mixed> $more of the sheet, told the ids of the items
     */
    public function keep(
        Sitting $sitting,
        Client $client,
        array $items,
        Side $worse,
        array $said = [],
        ?\Closure $more = null,
    ): void {
        $kept = $this->sittings->begin($sitting, $items, SittingEvent::noted(
            $sitting,
            null,
            EventKind::Begun,
            actor: $sitting->actor(),
            time: EventTime::now($sitting->startedAt, $client->zone),
            body: ['pain_before' => $sitting->painBefore] + $said,
        ));
        $ids = array_map(static fn (SittingItem $i): string => $i->id, $kept);
        $settings = $this->settings->of($client->clinicId)->progress();
        $symptoms = new Symptoms($settings);
        $sheet = $this->sheet->of(
            $ids,
            $items,
            $worse,
            onlyCalm: $symptoms->forbidsActiveWork($sitting->painBefore),
            seed: random_int(0, 0x7FFFFFFF),
            stops: $this->stops->rows($this->clinics->own()->emergencyNumber, $settings),
        );
        $added = null === $more ? [] : $more($ids);
        $this->sittings->keep(SittingScore::of($sitting, $sheet + $added));
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Desk\Demo;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Sitting\AlertAct;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use HandGarden\Planning\Suspension;
use HandGarden\Sitting\Alert;
use HandGarden\Web\Clock;

/** What rested in a story, with its alerts: answered when it was reopened, open where it rests still. */
final readonly class DemoAlerts
{
    private const FOUND = 'Spoken on the telephone, looked at in the clinic: as before.';

    public function __construct(
        private EntityManagerInterface $entities,
        private CatalogueStore $catalogue,
    ) {
    }

    public function load(Node $lived, Client $client, string $therapistId, \DateTimeImmutable $now): void
    {
        foreach (self::spans($lived) as $key => [$from, $until]) {
            $told = $now->modify('-'.$from.' days')->setTime(
                8,
                5,
            );
            $isItem = !str_starts_with($key, 'part:');
            $why = $isItem ? $this->why($key, $client, $told, $lived) : $why ?? $this->why(
                $key,
                $client,
                $told,
                $lived,
            );
            $rests = new Suspension(
                $client->clinicId,
                $client->id,
                $key,
                PhraseFormat::write($why),
                at: $told,
            );
            $this->entities->persist($rests);
            $alert = $isItem ? $this->alert($key, $why, $client, $therapistId, told: $told) : null;
            if (null !== $until) {
                $answered = $now->modify('-'.max(1, $until - 1).' days')->setTime(
                    8,
                    40,
                );
                $rests->reopen($therapistId, $answered, self::FOUND);
                if (null !== $alert) {
                    $this->answer($alert, $therapistId, $answered);
                }
            }
        }
    }

    private function alert(
        string $key,
        Phrase $why,
        Client $client,
        string $therapistId,
        \DateTimeImmutable $told,
    ): Alert {
        $alert = new Alert(
            $client->clinicId,
            $client->id,
            AlertKind::Part,
            $key,
            why: PhraseFormat::write($why),
            begunAt: $told->modify('-2 minutes'),
            receivedAt: $told,
            ownerId: $therapistId,
        );
        $this->entities->persist($alert);

        return $alert;
    }

    private function answer(Alert $alert, string $therapistId, \DateTimeImmutable $at): void
    {
        $alert->seenAt = $alert->receivedAt->modify('+2 hours');
        $alert->seenById = $therapistId;
        $alert->answeredAt = $at;
        $alert->answeredById = $therapistId;
        $alert->note = self::FOUND;
        $alert->act = AlertAct::Reopen;
        $alert->lookOn = $at->modify('+2 days');
        $alert->lookedAt = $at->modify('+2 days');
        $alert->words = 'It is back.';
    }

    private function why(string $key, Client $client, \DateTimeImmutable $told, Node $lived): Phrase
    {
        $item = ItemKey::fromText($key);

        return new Phrase(self::isTingling($lived) ? 'suspension.tingling' : 'suspension.pain', [
            'item' => null === $item
                ? $this->catalogue->get()->nameOf('')
                : $this->catalogue->get()->nameOf($item->rungId),
            'on' => Phrase::day(
                Clock::dayOf($told, $client->zone),
            ),
        ]);
    }

    private static function isTingling(Node $lived): bool
    {
        foreach ($lived->get('days')->items() as $day) {
            foreach ($day->optional('sittings')?->items() ?? [] as $sitting) {
                foreach ($sitting->get('lines')->items() as $line) {
                    if (true === $line->get('told')->optional('new_tingling')?->bool()) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /** @return array<string, array{int, ?int}> days ago from which and to which it rested, by what; null: still */
    private static function spans(Node $lived): array
    {
        $spans = [];
        foreach ($lived->get('days')->items() as $day) {
            foreach ($day->optional('rests')?->strings() ?? [] as $key) {
                $spans[$key] = [
                    $spans[$key][0] ?? $day->get('ago')->int(),
                    $day->get('ago')->int(),
                ];
            }
        }

        return array_map(
            static fn (array $span): array => [
                $span[0],
                1 === $span[1] ? null : $span[1],
            ],
            $spans,
        );
    }
}

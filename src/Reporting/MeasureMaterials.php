<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Account\ClinicSettings;
use HandGarden\Assessment\Change;
use HandGarden\Assessment\MeasureView;
use HandGarden\Assessment\ReadingRepository;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Finding\Findings;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Report\GroundedFinding;
use HandGarden\Core\Report\Measured;
use HandGarden\Core\Report\Once;
use HandGarden\Following\Periods;

/** What the measures of a time say: changed, taken once or not at all, and what they explain. */
final readonly class MeasureMaterials
{
    /** What a colleague looks for first: not measured is said of these. */
    private const LOOKED_FOR = [
        ['opening', Mode::Active],
        ['wrist_extension', Mode::Active],
        ['tone_finger', null],
    ];

    public function __construct(
        private ReadingRepository $readings,
        private CatalogueStore $catalogue,
        private ClinicSettings $settings,
    ) {
    }

    /**
     * @param list<Change> $changes
     *
     * @return list<Measured>
     */
    public function changed(Client $client, array $changes): array
    {
        $injected = $client->injectionDay();
        $works = static fn (Change $c): bool => null !== $injected && $c->lastOn >= $injected
            && $c->firstOn <= $injected->modify('+'.Periods::INJECTION_DAYS.' days');

        return array_map(static fn (Change $change): Measured => new Measured(
            $change->key,
            $change->label,
            $change->hand,
            $change->first,
            firstOn: $change->firstOn,
            last: $change->last,
            lastOn: $change->lastOn,
            difference: $change->difference,
            mustBeat: $change->mustBeat,
            judgement: $change->judgement,
            why: $change->why,
            isInjected: $works($change),
            sameTester: $change->sameTester,
        ), $changes);
    }

    /** @return list<Once> what is looked for and was taken on one day of the time, or on none */
    public function once(Client $client, \DateTimeImmutable $from, \DateTimeImmutable $until): array
    {
        $taken = array_filter(
            $this->readings->since($client, $from, array_column(self::LOOKED_FOR, 0)),
            static fn (Reading $r): bool => $r->on <= $until,
        );
        $once = [];
        foreach ($client->affected() as $side) {
            foreach (self::LOOKED_FOR as [$code, $mode]) {
                $kind = $this->catalogue->get()->vocabulary->kinds->find($code);
                $of = array_values(
                    array_filter($taken, static fn (Reading $r): bool => $r->isOf($code, $side, $mode)),
                );
                $isTwice = \count($of) > 1 && $of[0]->on < $of[\count($of) - 1]->on;
                if (null !== $kind && !$isTwice) {
                    $once[] = new Once(
                        implode('|', [$code, '', $mode->value ?? '', $side->value]),
                        MeasureView::name($kind, null),
                        trim($side->value.' '.($mode->value ?? '')),
                        [] === $of ? null : MeasureView::text($kind, $of[0]).$kind->unit->sign(),
                        on: $of[0]->on ?? null,
                    );
                }
            }
        }

        return $once;
    }

    /** @return list<GroundedFinding> of the affected hands, as they were known on a day */
    public function findings(Client $client, \DateTimeImmutable $day): array
    {
        $thresholds = $this->settings->of($client->clinicId)->thresholds();
        $readings = $this->readings->asOf($client, $day, $thresholds->ages->numberDays);

        return array_merge(...array_map(
            static fn (Side $side): array => GroundedFinding::all(
                $readings,
                $side,
                new Findings($thresholds->findings),
            ),
            $client->affected(),
        ));
    }
}

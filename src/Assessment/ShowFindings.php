<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Account\ClinicSettings;
use HandGarden\Assessment\Chart\IndependenceMap;
use HandGarden\Assessment\Chart\JointArcs;
use HandGarden\Assessment\Chart\OpeningCurve;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Change\InjectionPhase;
use HandGarden\Core\Measure\Finding\Finding;
use HandGarden\Core\Measure\Finding\Findings;
use HandGarden\Core\Measure\FingerMotion;
use HandGarden\Core\Measure\Independence;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Opening;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Library\FactWords;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What the measures say: explained findings, charts of both hands, and what has really changed. */
#[Route('/clients/{client}/findings', name: 'assessment_findings', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowFindings extends AbstractController
{
    /** A block of training; what lies further back is drawn on request. */
    private const BLOCK_DAYS = 42;
    private const LONG_DAYS = 180;

    public function __construct(
        private readonly ReadingRepository $readings,
        private readonly MeasuredChanges $changes,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly Clock $clock,
        private readonly ClinicSettings $settings,
        private readonly FactWords $facts,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $today = $this->clock->today($client->zone);
        $settings = $this->settings->of($client->clinicId);
        $over = '1' === $request->query->get('long') ? self::LONG_DAYS : self::BLOCK_DAYS;
        $days = $this->readings->days($client, $today->modify('-'.$over.' days'));
        $drawn = MeasuringDays::thinned($days);
        $history = $this->readings->ofDays($client, $drawn);
        $known = $this->readings->for($client);
        $young = $known->since($today->modify('-'.$settings->thresholds()->ages->numberDays.' days'));
        $history = self::withNewest($history, $known->since($today->modify('-'.$over.' days')), $drawn);
        $readings = new Readings($history);
        $catalogue = $this->catalogue->get();
        $hands = [];
        foreach ([] === $client->affected() ? [Side::Right] : $client->affected() as $side) {
            $hands[] = ['unaffected' => false] + $this->hand($readings, $young, $side);
            if (1 === \count($client->affected())) {
                $hands[] = [
                    'unaffected' => \in_array($side->opposite(), $client->unaffected(), true),
                ] + $this->hand($readings, $young, $side->opposite());
            }
        }

        return $this->render('Assessment/findings.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'hands' => $hands,
            'changes' => $this->changes->of($client, $history),
            'days' => $over,
            'measuredDays' => \count($days),
            'drawnDays' => \count($drawn),
            'isLong' => self::LONG_DAYS === $over,
            'shares' => self::shares($young, $client),
            'phase' => null === $client->injectionDay()
                ? null
                : InjectionPhase::at($client->injectionDay(), $today)->value,
        ]);
    }

    /**
     * What was measured last stays in, also from a day that is not drawn.
     *
     * @param list<Reading> $history oldest first
     * @param list<string>  $drawn   days
     *
     * @return list<Reading> oldest first
     */
    private static function withNewest(array $history, Readings $newest, array $drawn): array
    {
        foreach ($newest->current() as $reading) {
            if (!\in_array($reading->on->format('Y-m-d'), $drawn, true)) {
                $history[] = $reading;
            }
        }
        usort($history, static fn (Reading $a, Reading $b): int => $a->on <=> $b->on);

        return $history;
    }

    /**
     * @return array{
     *     side: string,
     *     findings: list<array{finding: Finding, needs: list<string>}>,
     *     arcs: list<mixed>,
     *     curve: mixed,
     *     map: mixed,
     * }
     */
    private function hand(Readings $readings, Readings $young, Side $side): array
    {
        $words = $this->facts;
        $kinds = $this->catalogue->get()->vocabulary->kinds;

        return [
            'side' => $side->value,
            'findings' => array_map(
                static fn (Finding $f): array => ['finding' => $f, 'needs' => array_map(
                    static function (string $need) use ($words, $kinds): string {
                        $parts = explode(':', $need);
                        $kind = $kinds->find($parts[0]);
                        if (null !== $kind) {
                            $name = MeasureView::name($kind, $parts[1] ?? null);

                            return 1 === preg_match('/^\p{Lu}{2}/u', $name) ? $name : lcfirst($name);
                        }

                        return $words->name($parts[0], $parts[1] ?? null);
                    },
                    $f->needs,
                )],
                (new Findings())->for($young, $side),
            ),
            'arcs' => array_values(
                array_filter(
                    [
                        JointArcs::ofWrist($readings, $side),
                        ...array_map(
                            static fn (Digit $d) => JointArcs::ofDigit($readings, $side, $d),
                            Digit::cases(),
                        ),
                    ],
                ),
            ),
            'curve' => OpeningCurve::from($young, $side),
            'map' => IndependenceMap::from(Independence::byEye($young, $side), $side),
        ];
    }

    /**
     * The worse hand in percent of the other, where the other is unaffected.
     *
     * @return list<array{label: string, worse: float, other: float, percent: float, unit: string}>
     */
    private static function shares(Readings $young, Client $client): array
    {
        $worse = $client->affected()[0] ?? null;
        if (null === $worse || !\in_array($worse->opposite(), $client->unaffected(), true)) {
            return [];
        }
        $pairs = [];
        foreach (
            [
                'grip_kg' => 'Grip',
                'pinch_kg' => 'Pinch',
                'blocks_60s_n' => 'Blocks in 60 s',
                'taps_15s_n' => 'Taps in 15 s',
            ] as $code => $label
        ) {
            $value = static fn (Side $side): mixed => $young->newest($code, $side)?->value;
            $pairs[] = [
                $label,
                $value($worse),
                $value($worse->opposite()),
                'grip_kg' === $code || 'pinch_kg' === $code ? ' kg' : '',
            ];
        }
        foreach (Digit::cases() as $digit) {
            $total = static fn (Side $side): ?float => FingerMotion::from(
                $young,
                $side,
                $digit,
                Mode::Active,
            )->totalDegrees;
            $pairs[] = [
                'Total active motion, '.$digit->value,
                $total($worse),
                $total($worse->opposite()),
                '°',
            ];
        }
        $opening = static fn (Side $side): mixed => Opening::ofHand(
            $young,
            $side,
            Mode::Active,
        )?->value;
        $pairs[] = ['Own opening', $opening($worse), $opening($worse->opposite()), ' %'];
        $shares = [];
        foreach ($pairs as [$label, $a, $b, $unit]) {
            if (\is_float($a) && \is_float($b) && $b > 0.0) {
                $shares[] = [
                    'label' => $label,
                    'worse' => $a,
                    'other' => $b,
                    'percent' => 100.0 * $a / $b,
                    'unit' => $unit,
                ];
            }
        }

        return $shares;
    }
}

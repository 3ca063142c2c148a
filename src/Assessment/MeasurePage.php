<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Account\ClinicSettings;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Pictures\SvgWriter;
use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Drawing\HandMap;
use HandGarden\Core\Drawing\MeasuredPose;
use HandGarden\Core\Drawing\Painter;
use HandGarden\Core\Drawing\View;
use HandGarden\Core\Measure\Finding\Finding;
use HandGarden\Core\Measure\Finding\Findings;
use HandGarden\Core\Measure\MedicationState;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Position;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Library\FactWords;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;
use Symfony\Component\HttpFoundation\Response;
use Twig\Environment;

/** Shows the measuring page and works out what stands beside the fields. */
final readonly class MeasurePage
{
    public function __construct(
        private Environment $twig,
        private ReadingRepository $readings,
        private LadderQuestions $ladders,
        private CatalogueStore $catalogue,
        private Cautions $cautions,
        private Clock $clock,
        private ClinicSettings $settings,
        private FactWords $facts,
        private Wording $wording,
    ) {
    }

    /** What is missing for the ladders; where nothing is, the quick re-check. */
    public function usual(Client $client): Preset
    {
        return [] === $this->ladders->needed($client) ? Preset::Recheck : Preset::Needed;
    }

    public function show(Client $client, Preset $preset, Entered $entered): Response
    {
        $known = $this->readings->for($client);
        $catalogue = $this->catalogue->get();
        $view = new MeasureView($catalogue, $known, $entered->typed, $this->facts);
        $asked = match ($preset) {
            Preset::Needed => $this->ladders->needed($client),
            Preset::Recheck => $this->ladders->recheck($client),
            default => [],
        };

        $groups = $preset->asksLadders() ? $view->asked($asked) : $view->groups($preset);
        if (
            Preset::Everything !== $preset
            && [] !== array_diff(array_keys($entered->problems), self::keysOf($groups), ['hours'])
        ) {
            // What is wrong has to be seen.
            return $this->show($client, Preset::Everything, $entered);
        }

        return new Response($this->twig->render('Assessment/measure.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'preset' => $preset,
            'presets' => Preset::cases(),
            'groups' => $groups,
            'lists' => $preset->hasLists() ? $view->lists() : [],
            'tryouts' => $preset->hasLists() ? $view->tryouts($client->affected()) : [],
            'maps' => $preset->hasMap()
                ? array_map(
                    static fn (Side $side): array => self::map($side, $known),
                    [Side::Right, Side::Left],
                )
                : [],
            'typed' => $entered->typed,
            'hands' => $this->handFigures($client, $known),
            'problems' => $entered->problems,
            'note' => $entered->note,
            'draft' => $entered->draft,
            'seen' => $this->clock->now()->format('Uv'),
            'positions' => Position::cases(),
            'medications' => MedicationState::cases(),
            'form' => $entered->form,
            'setUp' => $catalogue->screening->setUpCheck,
            'takesMedicine' => $client->takesTimedMedicine(),
        ]), [] === $entered->problems ? 200 : 422);
    }

    /**
     * @param list<array{rows: list<array{fields: list<array{key: string}>}>}> $groups
     *
     * @return list<string>
     */
    private static function keysOf(array $groups): array
    {
        $keys = [];
        foreach ($groups as $group) {
            foreach ($group['rows'] as $row) {
                array_push($keys, ...array_column($row['fields'], 'key'));
            }
        }

        return $keys;
    }

    /**
     * @return array<
     *     string,
     *     array{rows: list<array<string, string>>, active: string, passive: string, findings: list<string>}
     * >
     */
    public function handFigures(Client $client, Readings $readings): array
    {
        $thresholds = $this->settings->of($client->clinicId)->thresholds();
        $young = $readings->since(
            $this->clock->today($client->zone)->modify('-'.$thresholds->ages->numberDays.' days'),
        );
        $hands = [];
        foreach ([Side::Right, Side::Left] as $side) {
            $hands[$side->value] = [
                'rows' => Figures::for($readings, $side),
                'active' => Figures::opening($readings, $side, Mode::Active),
                'passive' => Figures::opening($readings, $side, Mode::Passive),
                'findings' => array_map(
                    fn (Finding $f): string => $this->wording->say($f->title),
                    (new Findings($thresholds->findings))->found($young, $side),
                ),
            ];
        }

        return $hands;
    }

    /**
     * The hand as its measures say, lightly drawn.
     *
     * @return array{
     *     side: string,
     *     window: array<mixed>,
     *     layers: list<array{paint: array<string, string>, d: string}>,
     * }|null
     */
    public function liveHand(Readings $readings, Side $side): ?array
    {
        $pose = MeasuredPose::from($readings, $side, Mode::Active);
        if (null === $pose) {
            return null;
        }
        $painting = (new Painter())->sketch($pose, View::Radial, $side);

        return [
            'side' => $side->value,
            'window' => $painting->window,
            'layers' => SvgWriter::layersOf($painting),
        ];
    }

    /**
     * @param list<Reading> $readings
     *
     * @return array<string, string> what several trials in one field come to
     */
    public function trials(array $readings): array
    {
        $said = [];
        foreach ($readings as $reading) {
            $spread = $reading->taken?->spread();
            if (null !== $reading->taken && null !== $spread && \is_float($reading->value)) {
                $said[
                    ReadingKey::for($reading->code, $reading->side, $reading->mode, $reading->argument)
                ] = \sprintf(
                    '%d trials: %s, spread %s',
                    \count($reading->taken->trials),
                    round($reading->value, 1),
                    round($spread, 1),
                );
            }
        }

        return $said;
    }

    /**
     * @return array{
     *     side: string,
     *     window: string,
     *     layers: list<array{paint: array<string, string>, d: string}>,
     *     joints: list<
     *         array{
     *             key: string,
     *             name: string,
     *             known: bool,
     *             text: string,
     *             x: float,
     *             y: float,
     *             labelX: float,
     *             anchor: string,
     *             field: string,
     *         }
     *     >,
     * }
     */
    private static function map(Side $side, Readings $known): array
    {
        $map = HandMap::from($side);
        $joints = [];
        foreach ($map->joints as $key => [$x, $y]) {
            [$bent, $straight] = match ($key) {
                'wrist' => ['wrist_flexion', 'wrist_extension'],
                'thumb' => ['thumb_palmar_abduction', 'thumb_radial_abduction'],
                default => [$key.'_flexion', $key.'_extension'],
            };
            $number = static function (string $code) use ($known, $side): string {
                $value = $known->newest($code, $side, Mode::Active)?->value;

                return \is_float($value) ? (string) round($value) : '–';
            };
            $isThumbSide = \in_array(
                $key,
                ['thumb', 'thumb_mp', 'thumb_ip', 'index_mcp', 'index_pip', 'index_dip'],
                true,
            );
            $toLeft = (Side::Right === $side) === $isThumbSide
                && !str_starts_with($key, 'middle')
                && 'wrist' !== $key;
            $joints[] = [
                'key' => $key,
                'name' => self::nameOf($key),
                'known' => '–' !== $number($bent) || '–' !== $number($straight),
                'text' => 'thumb' === $key
                    ? $number($bent)
                    : $number($straight).' to '.$number($bent),
                'x' => $x,
                'y' => $y,
                'labelX' => $toLeft ? -7.0 : 7.0,
                'anchor' => $toLeft ? 'end' : 'start',
                'field' => ReadingKey::for(
                    'wrist' === $key ? $straight : $bent,
                    $side,
                    Mode::Active,
                    null,
                ),
            ];
        }

        return [
            'side' => $side->value,
            'window' => implode(
                ' ',
                array_map(static fn (float $v): string => (string) round($v, 1), $map->window),
            ),
            'layers' => SvgWriter::layersOf($map->painting),
            'joints' => $joints,
        ];
    }

    private static function nameOf(string $key): string
    {
        [$digit, $joint] = explode('_', $key) + [1 => ''];

        if (null === Digit::tryFrom($digit)) {
            return 'Wrist';
        }

        return ucfirst($digit).' '.('' === $joint ? 'base' : strtoupper($joint));
    }
}

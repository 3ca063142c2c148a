<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\Measured;
use HandGarden\Core\Placement\People;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Placement\Setting;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Screening\Answer;
use HandGarden\Core\Screening\Screening;
use HandGarden\Tests\Core\Cases;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Clients made by seed: any conditions, some facts known and some not. */
final class RandomClient
{
    /** @var array<string, list<float>> values from weak to strong, by measure code with its mode and argument */
    public const LADDERS = [
        'wrist_extension:active' => [-40.0, -10.0, 15.0, 30.0, 60.0],
        'wrist_extension:passive' => [-30.0, 5.0, 20.0, 45.0, 70.0],
        'wrist_flexion:passive' => [10.0, -20.0, -40.0, -60.0, -80.0],
        'wrist_radial_deviation:active' => [-5.0, 5.0, 10.0, 15.0, 20.0],
        'wrist_ulnar_deviation:active' => [5.0, -5.0, -10.0, -20.0, -30.0],
        'forearm_supination:active' => [-20.0, 10.0, 30.0, 50.0, 80.0],
        'forearm_supination:passive' => [-10.0, 20.0, 60.0, 70.0, 85.0],
        'forearm_pronation:active' => [20.0, -10.0, -30.0, -50.0, -80.0],
        'forearm_pronation:passive' => [0.0, -20.0, -40.0, -60.0, -85.0],
        'thumb_palmar_abduction:passive' => [5.0, 15.0, 30.0, 45.0, 60.0],
        'opening:active' => [0.0, 10.0, 40.0, 60.0, 90.0],
        'opening:active:-60' => [0.0, 20.0, 40.0, 60.0, 100.0],
        'opening:active:-30' => [0.0, 20.0, 40.0, 60.0, 100.0],
        'opening:active:0' => [0.0, 20.0, 40.0, 60.0, 100.0],
        'opening:passive' => [20.0, 40.0, 60.0, 80.0, 100.0],
        'opposition_0to10' => [0.0, 3.0, 4.0, 6.0, 10.0],
        'individuation_idx::index' => [0.0, 0.3, 0.5, 0.6, 0.9],
        'wrist_ext_hold_s' => [0.0, 1.0, 4.0, 5.0, 10.0],
        'wrist_flex_hold_s' => [0.0, 1.0, 4.0, 5.0, 10.0],
        'wrist_lift_reps_n' => [0.0, 1.0, 10.0, 15.0, 20.0],
        'wrist_edge_reps_n' => [0.0, 1.0, 10.0, 15.0, 20.0],
        'wrist_curl_reps_n' => [0.0, 1.0, 10.0, 15.0, 20.0],
        'tilt_reps_n' => [0.0, 5.0, 9.0, 10.0, 15.0],
        'grip_hold_s::all' => [0.0, 1.0, 3.0, 5.0, 10.0],
        'grip_hold_s::front' => [0.0, 1.0, 3.0, 5.0, 10.0],
        'pinch_hold_s::index' => [0.0, 1.0, 3.0, 5.0, 10.0],
        'pinch_hold_s::middle' => [0.0, 1.0, 3.0, 5.0, 10.0],
        'pick_place_n' => [0.0, 2.0, 3.0, 8.0, 10.0],
        'turns_60s_n' => [0.0, 5.0, 10.0, 15.0, 30.0],
        'coins_kept_n' => [0.0, 2.0, 3.0, 5.0, 10.0],
        'coins_returned_n' => [0.0, 2.0, 3.0, 5.0, 10.0],
        'coins_dropped_n' => [4.0, 3.0, 2.0, 1.0, 0.0],
        'release_tries_n::20' => [0.0, 2.0, 3.0, 4.0, 5.0],
    ];

    public readonly \DateTimeImmutable $today;

    /** @var list<Reading> */
    public array $readings = [];

    /** @var non-empty-list<Condition> */
    public array $conditions;

    public readonly Side $side;

    /** @param bool $wellKnown everything measured and looked for, most try-outs clean: the most that can be offered */
    public function __construct(int $seed, bool $wellKnown = false)
    {
        $known = $wellKnown ? 10 : 8;
        $this->today = new \DateTimeImmutable('2026-11-20', new \DateTimeZone('UTC'));
        $random = new Randomizer(new Mt19937($seed));
        $this->side = 0 === $random->getInt(0, 1) ? Side::Left : Side::Right;
        $all = [
            Condition::Stroke,
            Condition::BrainInjury,
            Condition::Parkinsons,
            Condition::Tremor,
            Condition::Spasticity,
            Condition::Dystonia,
        ];
        $first = $random->getInt(0, 5);
        $this->conditions = [
            $all[$first],
            ...(0 === $random->getInt(0, 2) ? [$all[($first + $random->getInt(1, 5)) % 6]] : []),
        ];
        foreach (Side::cases() as $side) {
            foreach (self::LADDERS as $code => $values) {
                if ($random->getInt(0, 9) < $known) {
                    $this->readings[] = $this->number(
                        $code,
                        $side,
                        $values[$random->getInt($wellKnown ? 2 : 0, 4)],
                    );
                }
            }
            foreach (['tone_finger', 'tone_wrist', 'tone_elbow'] as $code) {
                if ($random->getInt(0, 9) < $known) {
                    $this->readings[] = new Reading(
                        $code,
                        $side,
                        null,
                        null,
                        value: [0.0, 1.0, 1.5, 2.0, 3.0][$random->getInt(0, 4)],
                        on: $this->today,
                    );
                }
            }
            foreach (Cases::catalogue()->vocabulary->lists as $list) {
                foreach ($list->observations as $observation) {
                    if (!$observation->sided && Side::Right === $side) {
                        continue; // asked once, not once a hand
                    }
                    foreach ([] === $observation->parts ? [null] : $observation->parts as $part) {
                        $yes = $random->getInt(0, $wellKnown ? 39 : 9) < (match (true) {
                            $observation->meansTrouble => 1,
                            $wellKnown => 36,
                            default => 7,
                        });
                        if ($random->getInt(0, 9) < $known) {
                            $this->readings[] = new Reading(
                                $observation->code,
                                $observation->sided ? $side : null,
                                null,
                                $part,
                                value: $yes,
                                on: $this->today,
                            );
                        }
                    }
                }
            }
            foreach (Cases::catalogue()->rungs() as $rung) {
                if ($random->getInt(0, 9) < $known - 4) {
                    $this->readings[] = new Reading(
                        'tryout',
                        $side,
                        null,
                        $rung->id,
                        value: ['clean', 'clean', 'trick', 'no'][$random->getInt(0, 3)],
                        on: $this->today,
                    );
                }
            }
        }
        $this->readings[] = new Reading(
            'commands_n',
            null,
            null,
            null,
            value: (float) $random->getInt($wellKnown ? 2 : 0, 3),
            on: $this->today,
        );
        $this->readings[] = new Reading(
            'arms_out_hold_s',
            null,
            null,
            null,
            value: (float) $random->getInt(0, 30),
            on: $this->today,
        );
    }

    public function number(string $code, Side $side, float $value): Reading
    {
        [$measure, $mode, $argument] = self::parts($code);

        return new Reading($measure, $side, $mode, $argument, value: $value, on: $this->today);
    }

    public function newest(string $code): ?float
    {
        [$measure, $mode, $argument] = self::parts($code);
        $value = (new Readings($this->readings))->newest(
            $measure,
            $this->side,
            $mode,
            $argument,
        )?->value;

        return \is_float($value) ? $value : null;
    }

    /** @return array{string, ?Mode, ?string} */
    private static function parts(string $code): array
    {
        [$measure, $mode, $argument] = explode(':', $code) + [1 => '', 2 => ''];

        return [$measure, Mode::tryFrom($mode), '' === $argument ? null : $argument];
    }

    /**
     * @param list<Reading>         $more    later readings, which count before the others
     * @param array<string, Answer> $answers all others are no
     */
    public function facts(
        array $more = [],
        array $answers = [],
        bool $everythingMet = false,
    ): ClientFacts {
        $screening = [];
        foreach (Cases::catalogue()->screening->questions as $question) {
            $screening[$question->id] = [$answers[$question->id] ?? Answer::No, $this->today];
        }

        $met = $everythingMet
            ? array_map(
                fn ($rung): string => $rung->id.'|'.$this->side->value,
                Cases::catalogue()->rungs(),
            )
            : [];

        return new ClientFacts(
            new People($this->conditions, [$this->side], [], Side::Right),
            new Setting(supervised: $everythingMet),
            new Measured(
                new Readings([...$this->readings, ...$more]),
                new Screening(Cases::catalogue()->screening, $screening),
            ),
            new Decided($met),
        );
    }

    public function brief(ClientFacts $facts, Goals $goals, Limits $limits): Brief
    {
        return new Brief(
            (new Placer(Cases::catalogue()))->place($facts, $this->today),
            $facts,
            $goals,
            $limits,
            today: $this->today,
        );
    }
}

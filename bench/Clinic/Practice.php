<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\SkipReason;

/** How a sitting goes for a made-up client, by what nobody sees of them. */
final class Practice
{
    /** Share of a ladder by which an item may lie over what can be done before it hurts. */
    private const TOLERATED = 0.08;
    private const TOO_LITTLE = 0.2;

    private int $made = 0;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly MadeUpClient $client,
    ) {
    }

    /**
     * @param list<Given> $sitting
     *
     * @return list<Line>
     */
    public function lines(array $sitting, Day $day): array
    {
        $lines = [];
        $effort = 0.0;
        foreach ($sitting as $given) {
            $effort += $given->seconds / 60.0 * $given->rung->load->intensity;
            $lines[] = $this->line($given, $effort, $day);
            if ($this->client->happens(0.03)) {
                $lines[] = $this->copy($lines[array_key_last($lines)]);
            }
        }

        return $lines;
    }

    /**
     * What nobody did, and why not.
     *
     * @param list<Given> $sitting
     *
     * @return list<LogLine>
     */
    public function leftOut(array $sitting, Day $day, SkipReason $reason): array
    {
        return array_map(fn (Given $given): LogLine => new LogLine(
            'line '.++$this->made,
            'sitting '.$day->number,
            $given->rung->id,
            $given->hands,
            dose: $given->dose,
            day: $this->client->begin->modify('+'.$day->number.' days'),
            outcome: Outcome::Skipped,
            reason: $reason,
        ), $sitting);
    }

    private function line(Given $given, float $effort, Day $day): Line
    {
        $client = $this->client;
        $isWork = \in_array(
            $given->rung->load->class,
            [EffortClass::Practice, EffortClass::Strength],
            true,
        );
        $over = $isWork ? $this->over($given, $day) : -0.1;
        $before = $client->painOn($day->number);
        $mishap = $isWork && [] === $day->lines ? $client->mishap($day->number) : null;
        $isHurt = $over > self::TOLERATED ? $client->happens(0.5) : $client->happens(0.01);
        $after = min(
            10,
            $before + ($isHurt ? $client->chance->getInt(1, 4) : 0),
        );
        $after = 'pain' === $mishap ? 8 : $after;
        $isSilent = $client->happens($client->silence);
        $isLate = (Trouble::LateSymptom === $client->trouble && $isHurt) || $client->happens(0.02);

        return new Line(
            'line '.++$this->made,
            $given->key(),
            $day->number,
            $day->number + ($isLate ? $client->chance->getInt(2, 6) : 0),
            dose: $given->dose,
            painBefore: $isSilent && null === $mishap ? null : $before,
            painAfter: $isSilent && null === $mishap ? null : $after,
            isTighter: $client->happens($over > 0.0 ? 0.25 : 0.04),
            hasTrick: $client->happens($over > 0.0 ? 0.35 : 0.05),
            help: $client->happens($client->silence) ? null : 'none',
            fatigue: $client->happens($client->silence)
                ? null
                : (int) min(
                    10.0,
                    round(
                        $client->fate->tiring() * $client->tires * $effort / max(5, $client->minutes) * 3.0,
                    ),
                ),
            reached: min($client->fate->reaches($day->number, $given->rung->id), $over <= 0.0 ? 1.0 : max(
                0.2,
                1.0 - 0.04 * $client->chance->getInt(0, 20) - 2.0 * $over,
            )),
            isTingling: $client->happens(0.001) || 'tingling' === $mishap,
            isCopy: false,
        );
    }

    /** By how much it lies over what can be done; the day is marked, the ability grows by practice that fits. */
    private function over(Given $given, Day $day): float
    {
        $ladder = $this->catalogue->ladderOf($given->rung->id);
        $key = $ladder->key.'|'.$given->hands->value;
        $demand = (($ladder->positionOf($given->rung->id) ?? 1) - 1 + self::within($given)) / \count(
            $ladder->rungs,
        );
        $ability = $this->client->abilityOn($key, $demand);
        $day->isOverload = $day->isOverload || $demand > $ability + self::TOLERATED;
        $day->isUnderload = $day->isUnderload || $demand < $ability - self::TOO_LITTLE;
        if ($demand <= $ability) {
            $this->client->practised($key);
        }

        return $demand - $ability + 0.01 * $this->client->chance->getInt(
            -4,
            4,
        );
    }

    /** Where the dose lies in the range of its exercise. */
    private static function within(Given $given): float
    {
        $range = $given->rung->dosing->range;
        $shares = [];
        foreach ([
            [$given->dose->repetitions, $range->repetitions],
            [$given->dose->holdSeconds, $range->holdSeconds],
            [$given->dose->loadKilograms, $range->loadKilograms],
        ] as [$value, [$least, $most]]) {
            if ($most > $least) {
                $shares[] = ($value - $least) / ($most - $least);
            }
        }

        $shares = [...$shares, ...array_values(
            array_diff_key(
                Level::of($given->rung, $given->dose),
                ['help' => 0],
            ),
        )];

        return [] === $shares ? 0.5 : array_sum($shares) / \count($shares);
    }

    private function copy(Line $line): Line
    {
        /** @var array{string, string, int, int, Dose, ?int, ?int, bool, bool, ?string, ?int, float, bool, bool} $all */
        $all = ['isCopy' => true] + get_object_vars($line);

        return new Line(...$all);
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Helper;

/** One helper: what they may do by hand, and what waits to be shown to them. */
final readonly class HelperSheet
{
    /** @param list<HelperRow> $rows what stands in a routine before the rest */
    private function __construct(
        public Helper $helper,
        public array $rows,
    ) {
    }

    /**
     * @param list<Helper>     $helpers
     * @param list<TaughtWork> $works
     * @param list<SignOff>    $signed
     * @param list<Teaching>   $taught newest first
     *
     * @return list<self>
     */
    public static function of(array $helpers, array $works, array $signed, array $taught): array
    {
        return array_map(static function (Helper $helper) use ($works, $signed, $taught): self {
            $until = $last = [];
            foreach ($signed as $one) {
                if ($one->helperId === $helper->id) {
                    $until[$one->key()] = $one->until;
                }
            }
            foreach ($taught as $one) {
                if ($one->helperId === $helper->id) {
                    $last[$one->technique.'|'.$one->side->value] ??= $one;
                }
            }
            $rows = array_map(static fn (TaughtWork $work): HelperRow => new HelperRow(
                $work,
                array_intersect_key($until, $work->names),
                $last[$work->technique->key.'|'.$work->side->value] ?? null,
            ), $works);
            usort(
                $rows,
                static fn (HelperRow $a, HelperRow $b): int => $b->work->isPlanned() <=> $a->work->isPlanned(),
            );

            return new self($helper, $rows);
        }, $helpers);
    }
}

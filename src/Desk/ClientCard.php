<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use HandGarden\Assessment\Visit;
use HandGarden\Client\CautionsView;
use HandGarden\Planning\LadderView;
use HandGarden\Sitting\SittingLine;
use Twig\Markup;

/**
 * Everything the overview of one client shows.
 *
 * @phpstan-type Measured array{
 *     id: string,
 *     label: string,
 *     side: string,
 *     mode: string,
 *     text: string,
 *     unit: string,
 *     on: \DateTimeImmutable,
 * }
 */
final readonly class ClientCard
{
    /**
     * @param list<array{side: string, affected: bool, active: ?string, passive: ?string}> $hands
     * @param list<array{ladder: LadderView, hands: string, shapes: list<string>}> $ladders
     * @param Markup                $map      every strand with its ladders, drawn
     * @param array<string, int>    $ahead    how many other ladders there are, by what they wait for
     * @param array<string, int>    $waiting  proposals by kind
     * @param list<SittingLine>     $sittings newest first
     * @param list<Visit>           $visits   newest first
     * @param list<Measured>        $latest
     * @param array<string, string> $names    of staff by id
     * @param list<string>          $helpers  names
     */
    public function __construct(
        public CautionsView $banner,
        public ?string $goal,
        public array $hands,
        public array $ladders,
        public Markup $map,
        public array $ahead,
        public array $waiting,
        public array $sittings,
        public array $visits,
        public array $latest,
        public array $names,
        public array $helpers,
    ) {
    }
}

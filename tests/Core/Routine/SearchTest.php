<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Routine\Hands;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Option;
use HandGarden\Core\Routine\OptionGroup;
use HandGarden\Core\Routine\Search;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The search against trying everything. */
final class SearchTest extends TestCase
{
    private const IDS = ['long-out-breath', 'dry-wash-warm-up', 'finger-ripple', 'wrist-ease-back', 'thumb-lift-away-stretch', 'staged-joint-opener', 'pressed-lift-hold', 'edge-wrist-lift', 'close-and-open', 'single-finger-taps', 'table-thumb-touch', 'finger-lengthening-massage'];

    public function testFindsTheBestOfAllSelections(): void
    {
        for ($seed = 0; $seed < 25; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $groups = array_map(fn (string $id): OptionGroup => new OptionGroup($id, [new Option([$this->item($id)], $random->getInt(5, 90))]), self::IDS);
            $limits = new Limits($random->getInt(6, 18));
            $rules = new SittingRules($limits, ['right' => 2.0, 'left' => 0.0], true);
            $found = (new Search($groups, $rules, $limits, null))->best();

            self::assertSame($this->bruteForce($groups, $rules), $found->value ?? 0, "seed $seed");
            self::assertTrue($found->proved ?? true);
        }
    }

    public function testAPauseClearsTwoHeavyItemsForTheSameMuscles(): void
    {
        $limits = new Limits(30);
        $rules = new SittingRules($limits, ['right' => 0.0, 'left' => 0.0], true);
        $ids = ['dry-wash-warm-up', 'wrist-ease-back', 'pressed-lift-hold', 'slow-lower-from-lift', 'edge-wrist-lift', 'finger-lengthening-massage'];
        $groups = array_map(fn (string $id): OptionGroup => new OptionGroup($id, [new Option([$this->item($id)], 10)]), $ids);
        $pause = new Item(Cases::catalogue()->rung('shake-loose-pause'), Hands::Together, Cases::catalogue()->rung('shake-loose-pause')->startDose, 'pause', isPause: true);

        $items = (new Search($groups, $rules, $limits, $pause))->best()->items ?? [];

        self::assertSame(['dry-wash-warm-up', 'wrist-ease-back', 'pressed-lift-hold', 'slow-lower-from-lift', 'shake-loose-pause', 'edge-wrist-lift', 'finger-lengthening-massage'], array_map(static fn (Item $i): string => $i->rung->id, $items));
        self::assertSame([], $rules->broken($items));
    }

    /** @param list<OptionGroup> $groups */
    private function bruteForce(array $groups, SittingRules $rules): int
    {
        $best = 0;
        for ($mask = 1; $mask < 1 << \count($groups); ++$mask) {
            $items = [];
            $value = 0;
            foreach ($groups as $i => $group) {
                if (0 !== ($mask >> $i & 1)) {
                    $items[] = $group->options[0]->items[0];
                    $value += $group->options[0]->value;
                }
            }
            $work = array_filter($items, static fn (Item $i): bool => !SittingRules::isWarmUp($i) && !SittingRules::isCoolDown($i));
            if ($value > $best && [] !== $work && (new Sequence($items))->seconds() > 0 && [] === $rules->broken($items)) {
                $best = $value;
            }
        }

        return $best;
    }

    private function item(string $id): Item
    {
        $rung = Cases::catalogue()->rung($id);

        return new Item($rung, 2 === $rung->doneOn->sides() ? Hands::Each : ('both together' === $rung->doneOn->value ? Hands::Together : Hands::Right), $rung->startDose, 'test');
    }
}

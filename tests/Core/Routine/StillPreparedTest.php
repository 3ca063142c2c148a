<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\StillPrepared;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where all that prepares an exercise waits, the exercise waits too; and nothing else does. */
final class StillPreparedTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function cases(): iterable
    {
        foreach (['tight-hand', 'cupped-hands', 'fingers-together'] as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('cases')]
    public function testWithoutAnythingThatMeetsANeedTheItemWaits(string $name): void
    {
        [$items, $prepared] = $this->planned($name);
        $places = array_keys($items);
        self::assertSame([], $prepared->unprepared($items, $places), 'a whole plan waits for nothing');
        $asked = 0;
        foreach ($prepared->by($items) as $place => $needs) {
            foreach ($needs as $meeting) {
                ++$asked;
                self::assertLessThan($place, max($meeting), 'what prepares stands before');
                $without = array_values(array_diff($places, $meeting));
                self::assertContains($place, $prepared->unprepared($items, $without));
            }
        }
        self::assertGreaterThan(0, $asked);
    }

    #[DataProvider('cases')]
    public function testWhatIsLeftIsPreparedAndNothingMoreIsTaken(string $name): void
    {
        [$items, $prepared] = $this->planned($name);
        $by = $prepared->by($items);
        mt_srand(7);
        for ($try = 0; $try < 200; ++$try) {
            $left = array_values(array_filter(array_keys($items), static fn (): bool => mt_rand(0, 3) > 0));
            $out = $prepared->unprepared($items, $left);
            $stays = array_values(array_diff($left, $out));
            self::assertSame([], array_diff($out, $left), 'what waits by itself is not said twice');
            self::assertSame([], $prepared->unprepared($items, $stays), 'once is enough');
            foreach ($left as $place) {
                $unmet = array_filter(
                    $by[$place],
                    static fn (array $m): bool => [] === array_intersect($m, $stays),
                );
                self::assertSame([] !== $unmet, \in_array($place, $out, true), $name.' '.$place);
            }
        }
    }

    /** @return array{list<Item>, StillPrepared} */
    private function planned(string $name): array
    {
        $case = Cases::example($name);
        $builder = new Builder(Cases::catalogue());
        $brief = $case->brief((new Placer(Cases::catalogue()))->place($case->facts, $case->today));

        return [
            $builder->build($brief)->sequence->items,
            new StillPrepared($builder->rulesFor($case->facts, $case->limits, $case->today)),
        ];
    }
}

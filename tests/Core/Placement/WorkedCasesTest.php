<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Candidates;
use HandGarden\Core\Routine\Item;
use HandGarden\Exchange\Case\CaseFile;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Clients as a therapist would tell of them, with where each stands, why, and what the routine has and has
 * not.
 */
final class WorkedCasesTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        $found = glob(Cases::root().'/docs/examples/worked/*.json');
        foreach (false === $found ? [] : $found as $file) {
            yield basename($file, '.json') => [$file];
        }
    }

    #[DataProvider('files')]
    public function testTheClientStandsWhereAReviewerExpects(string $file): void
    {
        $case = $this->read($file);
        $placements = (new Placer(Cases::catalogue()))->place($case->facts, $case->today);
        $words = Said::placement();
        foreach ($this->expected($file)->optional('placements')?->items() ?? [] as $expected) {
            $key = $expected->get('ladder')->string();
            $placed = $placements->find($key, $expected->get('side')->enum(Side::class));
            self::assertNotNull($placed, $key);
            self::assertSame(
                $expected->get('state')->string(),
                $placed->state->value,
                $key,
            );
            self::assertSame(
                $expected->optional('stands_on')?->strings() ?? [],
                array_map(static fn (Rung $r): string => $r->id, $placed->offered()),
                $key,
            );
            $next = $expected->optional('next')?->string();
            if (null !== $next) {
                self::assertNotNull($placed->next, $key);
                self::assertSame($next, $placed->next->rung->id, $key);
                self::assertStringContainsString(
                    $expected->optional('because')?->string() ?? '',
                    $words->placed($placed->next, $placed->side),
                    $key,
                );
            }
        }
    }

    #[DataProvider('files')]
    public function testTheRoutineHasWhatItShouldAndBreaksNoRule(string $file): void
    {
        $case = $this->read($file);
        $brief = $case->brief((new Placer(Cases::catalogue()))->place($case->facts, $case->today));
        $builder = new Builder(Cases::catalogue());
        $routine = $builder->build($brief);
        $ids = array_map(
            static fn (Item $i): string => $i->rung->id,
            $routine->sequence->items,
        );
        $expected = $this->expected($file)->get('routine');

        self::assertSame(
            [],
            $builder->rulesFor(
                $case->facts,
                $case->limits,
                $case->today,
            )->broken($routine->sequence->items),
        );
        self::assertLessThanOrEqual(
            1.1 * $routine->value,
            $routine->bound,
            'proved near the best',
        );
        self::assertSame(
            [],
            array_diff($expected->get('has')->strings(), $ids),
            implode(' ', $ids),
        );
        self::assertSame(
            $this->expected($file)->get('focus')->strings(),
            array_map(
                static fn (array $f): string => $f[0]->ladder->key.'|'.$f[0]->side->value,
                (new Candidates(Cases::catalogue(), $brief))->focus(),
            ),
            'what matters most',
        );
        self::assertSame(
            [],
            array_values(array_intersect($expected->get('has_not')->strings(), $ids)),
        );
    }

    public function testTheyCoverAllConditionsBothHandsAndEachHand(): void
    {
        $conditions = $sides = [];
        foreach (self::files() as [$file]) {
            $facts = $this->read($file)->facts;
            $conditions = [
                ...$conditions,
                ...array_map(
                    static fn (Condition $c): string => $c->value,
                    $facts->people->conditions,
                ),
            ];
            $sides[] = implode(
                '+',
                array_map(
                    static fn (Side $s): string => $s->value,
                    $facts->people->affected,
                ),
            );
        }

        self::assertCount(27, $sides);
        self::assertEqualsCanonicalizing(
            array_map(static fn (Condition $c): string => $c->value, Condition::cases()),
            array_values(array_unique($conditions)),
        );
        self::assertEqualsCanonicalizing(
            ['left', 'right', 'right+left'],
            array_values(array_unique($sides)),
        );
    }

    private function read(string $file): CaseFile
    {
        return Cases::read((string) file_get_contents($file));
    }

    private function expected(string $file): Node
    {
        return Node::fromJson((string) file_get_contents($file))->get('expected');
    }
}

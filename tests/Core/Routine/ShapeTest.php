<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Routine\Kept;
use HandGarden\Core\Routine\Shape;
use HandGarden\Core\Routine\ShapeHand;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

/** What of a routine goes over to another client, whichever hand is theirs. */
final class ShapeTest extends TestCase
{
    public function testEveryHandComesBackForTheSameSideAndIsMirroredForTheOther(): void
    {
        foreach (Side::cases() as $worse) {
            foreach (Hands::cases() as $hands) {
                $hand = ShapeHand::fromHands($hands, $worse);
                self::assertSame($hands, $hand->hands($worse));
                $mirrored = match ($hands) {
                    Hands::Left => Hands::Right,
                    Hands::Right => Hands::Left,
                    default => $hands,
                };
                self::assertSame($mirrored, $hand->hands($worse->opposite()));
            }
        }
    }

    public function testWhatWasKeptInAndOutAndPutFirstIsItsShapeAndTheRestIsNot(): void
    {
        $shape = Shape::of(
            [self::item('helped-lift-hold', kept: true), self::item('finger-space-opener', kept: false)],
            ['pencil-creep|right'],
            ['base-1|right', 'grip-1|left'],
            Side::Right,
        );

        self::assertEquals([new ItemKey('helped-lift-hold', Hands::Left)], $shape->pinnedFor(Side::Left));
        self::assertSame(['pencil-creep|left'], $shape->forbiddenFor(Side::Left));
        self::assertSame(['base-1|left', 'grip-1|right'], $shape->focusFor(Side::Left));
        self::assertFalse($shape->isEmpty());
    }

    public function testARoutineThatNobodyTouchedHasNoShape(): void
    {
        self::assertTrue(
            Shape::of([self::item('helped-lift-hold', kept: false)], [], [], Side::Left)->isEmpty(),
        );
    }

    private static function item(string $rung, bool $kept): Item
    {
        $found = Cases::catalogue()->rung($rung);

        return new Item(
            $found,
            Hands::Right,
            $found->dosing->start,
            new Phrase('reason.added'),
            kept: $kept ? new Kept('because') : null,
        );
    }
}

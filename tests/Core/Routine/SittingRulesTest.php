<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\DoneOn;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\HandsAtWork;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SittingRulesTest extends TestCase
{
    private const GOOD = [
        'dry-wash-warm-up',
        'wrist-ease-back',
        'thumb-lift-away-stretch',
        'helped-lift-hold',
        'close-and-open',
        'finger-lengthening-massage',
    ];

    public function testAGoodOrderBreaksNothing(): void
    {
        self::assertSame([], $this->codes(self::GOOD));
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function badOrders(): iterable
    {
        $without = static fn (string $id): array => array_values(array_diff(self::GOOD, [$id]));
        yield 'no warm-up' => [$without('dry-wash-warm-up'), 'no-warm-up'];
        yield 'nothing at the end' => [$without('finger-lengthening-massage'), 'no-cool-down'];
        yield 'a stretch without easing the wrist back' => [
            $without('wrist-ease-back'),
            'needs-before',
        ];
        yield 'opening a tight hand without its stretch' => [
            $without('thumb-lift-away-stretch'),
            'needs-before',
        ];
        yield 'the lift before the stretch' => [
            [
                'dry-wash-warm-up',
                'helped-lift-hold',
                'wrist-ease-back',
                'thumb-lift-away-stretch',
                'finger-lengthening-massage',
            ],
            'needs-before',
        ];
        yield 'three heavy lifts in a row' => [
            [
                'dry-wash-warm-up',
                'wrist-ease-back',
                'pressed-lift-hold',
                'slow-lower-from-lift',
                'edge-wrist-lift',
                'finger-lengthening-massage',
            ],
            'too-heavy-in-a-row',
        ];
    }

    /** @param list<string> $ids */
    #[DataProvider('badOrders')]
    public function testABadOrderNamesTheRule(array $ids, string $code): void
    {
        self::assertContains($code, $this->codes($ids));
    }

    public function testTheBrokenItemIsPointedAt(): void
    {
        $broken = $this->broken(
            ['dry-wash-warm-up', 'thumb-lift-away-stretch', 'finger-lengthening-massage'],
        );

        self::assertSame(
            [1],
            array_values(
                array_filter(
                    array_map(static fn (BrokenRule $b): ?int => $b->item, $broken),
                    static fn (?int $i): bool => null !== $i,
                ),
            ),
        );
        self::assertStringContainsString('ease the wrist back first', Said::of($broken[0]->words));
    }

    public function testMinutesEffortAndNumberOfItemsAreLimits(): void
    {
        self::assertContains('over-time', $this->codes(self::GOOD, new Limits(6)));
        self::assertContains('over-effort', $this->codes(self::GOOD, new Limits(20, 3.0)));
        self::assertContains('too-many-items', $this->codes(self::GOOD, new Limits(20, null, 1)));
    }

    public function testStrengthIsNeverDoneTwoDaysRunning(): void
    {
        $ids = [
            'dry-wash-warm-up',
            'wrist-ease-back',
            'weighted-wrist-lift',
            'finger-lengthening-massage',
        ];

        self::assertNotContains('needs-before', $this->codes($ids));
        self::assertContains(
            'needs-before',
            $this->codes($ids, new Limits(20, lastStrengthOn: new \DateTimeImmutable('2026-11-19'))),
        );
    }

    public function testWithoutToneNoStretchIsNeededAndWithUnknownToneItIs(): void
    {
        $ids = ['dry-wash-warm-up', 'close-and-open', 'finger-lengthening-massage'];

        self::assertSame([], $this->codes($ids, null, ['right' => 0.0]));
        self::assertContains('needs-before', $this->codes($ids, null, []));
    }

    public function testThePreparationOfOneHandDoesNotCountForTheOther(): void
    {
        $items = array_map(
            fn (string $id): Item => $this->item($id),
            ['dry-wash-warm-up', 'wrist-ease-back', 'helped-lift-hold', 'finger-lengthening-massage'],
        );
        $items[1] = new Item($items[1]->rung, Hands::Left, $items[1]->dose, Phrase::own('other hand'));

        self::assertContains(
            'needs-before',
            array_map(static fn (BrokenRule $b): string => $b->code, $this->rules()->broken($items)),
        );
    }

    /**
     * @param list<string>              $ids
     * @param array<string, float>|null $tone
     *
     * @return list<string>
     */
    private function codes(array $ids, ?Limits $limits = null, ?array $tone = null): array
    {
        return array_values(
            array_unique(
                array_map(
                    static fn (BrokenRule $b): string => $b->code,
                    $this->broken($ids, $limits, $tone),
                ),
            ),
        );
    }

    public function testLettingGoBelongsDirectlyAfterGripping(): void
    {
        $rules = $this->ofHand(0.0);
        $start = ['dry-wash-warm-up', 'wrist-ease-back', 'thumb-lift-away-stretch'];

        self::assertContains(
            'release-after-grip',
            $this->codesOf(
                $rules,
                [
                    ...$start,
                    'soft-squeeze',
                    'single-finger-taps',
                    'close-and-open',
                    'finger-lengthening-massage',
                ],
            ),
        );
        self::assertContains(
            'release-after-grip',
            $this->codesOf($rules, [...$start, 'soft-squeeze', 'finger-lengthening-massage']),
        );
        self::assertNotContains(
            'release-after-grip',
            $this->codesOf(
                $rules,
                [...$start, 'soft-squeeze', 'close-and-open', 'finger-lengthening-massage'],
            ),
        );
    }

    public function testATightHandThatIsGivenGrippingOpensLongerThanItGripsAndTakesTurns(): void
    {
        $squeezes = [
            'dry-wash-warm-up',
            'wrist-ease-back',
            'thumb-lift-away-stretch',
            'soft-squeeze',
            'five-count-squeeze',
            'close-and-open',
            'finger-lengthening-massage',
        ];

        self::assertContains('too-little-opening', $this->codesOf($this->ofHand(2.0), $squeezes));
        self::assertContains(
            'release-after-grip',
            $this->codesOf($this->ofHand(2.0), $squeezes),
            'the first squeeze is followed by the second',
        );
        self::assertNotContains(
            'too-little-opening',
            $this->codesOf($this->ofHand(0.0), $squeezes),
            'a matter of points only, in a hand without tone',
        );
        $longer = [
            'dry-wash-warm-up',
            'wrist-ease-back',
            'thumb-lift-away-stretch',
            'pressed-lift-hold',
            'soft-squeeze',
            'close-and-open',
            'finger-lengthening-massage',
        ];
        self::assertNotContains(
            'too-little-opening',
            $this->codesOf($this->ofHand(2.0), $longer),
            '102 s of opening beside 45 s of gripping',
        );
    }

    private function ofHand(float $tone): SittingRules
    {
        $gripping = $lettingGo = [];
        foreach (Cases::catalogue()->ladders() as $ladder) {
            foreach ($ladder->rungs as $rung) {
                if (Strand::Grip === $ladder->strand) {
                    $gripping[$rung->id] = true;
                } elseif (Strand::Open === $ladder->strand) {
                    $lettingGo[$rung->id] = true;
                }
            }
        }

        return SittingRules::for(new Limits(40), new HandsAtWork(
            ['right' => $tone, 'left' => 0.0],
            true,
            $tone >= 2.0 ? [Side::Right] : [],
            $gripping,
            lettingGo: $lettingGo,
        ));
    }

    /**
     * @param list<string> $ids
     *
     * @return list<string>
     */
    private function codesOf(SittingRules $rules, array $ids): array
    {
        return array_map(
            static fn (BrokenRule $b): string => $b->code,
            $rules->broken(array_map(fn (string $id): Item => $this->item($id), $ids)),
        );
    }

    /**
     * @param list<string>              $ids
     * @param array<string, float>|null $tone
     *
     * @return list<BrokenRule>
     */
    private function broken(array $ids, ?Limits $limits = null, ?array $tone = null): array
    {
        return $this->rules($limits, $tone)->broken(
            array_map(fn (string $id): Item => $this->item($id), $ids),
        );
    }

    /** @param array<string, float>|null $tone */
    private function rules(?Limits $limits = null, ?array $tone = null): SittingRules
    {
        return SittingRules::for(
            $limits ?? new Limits(20),
            new HandsAtWork($tone ?? ['right' => 2.0, 'left' => 0.0], true),
        );
    }

    private function item(string $id): Item
    {
        $rung = Cases::catalogue()->rung($id);
        $hands = match ($rung->fit->doneOn) {
            DoneOn::BothTogether => Hands::Together,
            DoneOn::EachHand => 'finger-lengthening-massage' === $id ? Hands::Each : Hands::Right,
            DoneOn::Affected, DoneOn::NonDominant, DoneOn::WritingHand, DoneOn::SteadierHand => Hands::Right,
        };

        return new Item($rung, $hands, $rung->dosing->start, Phrase::own('test'));
    }
}

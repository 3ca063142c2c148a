<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Catalogue\SittingNeed;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\HandsAtWork;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Need;
use HandGarden\Core\Routine\Rule\EndsOpen;
use HandGarden\Core\Routine\Rule\FewItemsAtHome;
use HandGarden\Core\Routine\Rule\FitsTheEffort;
use HandGarden\Core\Routine\Rule\FitsTheTime;
use HandGarden\Core\Routine\Rule\PauseBetweenHeavy;
use HandGarden\Core\Routine\Rule\PreparedPart;
use HandGarden\Core\Routine\Rule\SittingRule;
use HandGarden\Core\Routine\Rule\StartsWarm;
use HandGarden\Core\Routine\Rule\StrengthEverySecondDay;
use HandGarden\Core\Routine\Rule\StretchedBefore;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each hard rule by itself: is it broken, what does it need, why was something left out. */
final class SittingRuleTest extends TestCase
{
    public function testTheTimeIsBrokenByASecondAndSaysHowMuchIsMissing(): void
    {
        $items = $this->items('dry-wash-warm-up', 'wrist-ease-back', 'helped-lift-hold');
        $fits = new FitsTheTime(new Limits(60));
        $tight = new FitsTheTime(new Limits(1));

        self::assertSame([], $fits->broken($items));
        self::assertSame(['over-time'], self::codes($tight->broken($items)));
        self::assertNull($fits->leftOut([], $items));
        self::assertMatchesRegularExpression(
            '/^Time: \d+:\d\d more than the 1 minutes$/',
            Said::of($tight->leftOut([], $items)),
        );
        self::assertSame([], $tight->needs($items[0]));
    }

    public function testTheEffortCountsWhatIsChosenTogetherWithWhatIsMissing(): void
    {
        $light = $this->items('dry-wash-warm-up');
        $heavy = $this->items('weighted-wrist-lift');
        $effort = $light[0]->effort() + $heavy[0]->effort();

        self::assertNull((new FitsTheEffort(new Limits(60, $effort)))->leftOut($light, $heavy));
        self::assertSame(
            'left_out.effort',
            (new FitsTheEffort(new Limits(60, $effort - 0.1)))->leftOut($light, $heavy)?->code,
        );
        self::assertSame(
            ['over-effort'],
            self::codes((new FitsTheEffort(new Limits(60, $effort - 0.1)))->broken([...$light, ...$heavy])),
        );
    }

    public function testItemsAtHomeAreCountedAsAClientCountsThem(): void
    {
        $items = $this->items(
            'dry-wash-warm-up',
            'thumb-lift-away-stretch',
            'helped-lift-hold',
            'close-and-open',
            'wrist-forward-release',
        );
        $pause = new Item(
            $items[0]->rung,
            Hands::Together,
            $items[0]->dose,
            Phrase::own('p'),
            isPause: true,
        );

        self::assertSame([], (new FewItemsAtHome(new Limits(60, null, 3)))->broken([...$items, $pause]));
        self::assertSame(
            ['too-many-items'],
            self::codes((new FewItemsAtHome(new Limits(60, null, 2)))->broken($items)),
        );
        self::assertSame(
            'Number of items: at most 1 at home',
            Said::of(
                (new FewItemsAtHome(new Limits(60, null, 1)))->leftOut([$items[0], $items[1]], [$items[2]]),
            ),
        );
    }

    public function testASittingStartsWarmAndEndsOpenAndNeitherLeavesAnythingOut(): void
    {
        $work = $this->items('helped-lift-hold');
        $warm = $this->items('dry-wash-warm-up');
        $open = $this->items('finger-lengthening-massage');

        self::assertSame(['no-warm-up'], self::codes((new StartsWarm())->broken($work)));
        self::assertSame([], (new StartsWarm())->broken([...$warm, ...$work]));
        self::assertSame(['no-cool-down'], self::codes((new EndsOpen())->broken($work)));
        self::assertSame([], (new EndsOpen())->broken([...$work, ...$open]));
        self::assertNull((new StartsWarm())->leftOut([], $work));
        self::assertNull((new EndsOpen())->leftOut([], $work));
    }

    public function testAPausedHeavyRowIsNoRow(): void
    {
        $heavy = $this->items('pressed-lift-hold', 'slow-lower-from-lift', 'edge-wrist-lift');
        $pause = new Item(
            $heavy[0]->rung,
            Hands::Together,
            $heavy[0]->dose,
            Phrase::own('p'),
            isPause: true,
        );
        $rule = new PauseBetweenHeavy();

        self::assertSame(['too-heavy-in-a-row'], self::codes($rule->broken($heavy)));
        self::assertSame(2, $rule->broken($heavy)[0]->item);
        self::assertSame([], $rule->broken([$heavy[0], $heavy[1], $pause, $heavy[2]]));
        self::assertSame([], $rule->broken([$heavy[0], $heavy[1]]));
    }

    public function testPreparationIsOfTheSameHandAndPart(): void
    {
        $rule = new PreparedPart();
        $lift = $this->item('helped-lift-hold', Hands::Right);
        [$need] = $rule->needs($lift);

        self::assertFalse($need->isMetBy($this->item('wrist-ease-back', Hands::Left)));
        self::assertTrue($need->isMetBy($this->item('wrist-ease-back', Hands::Right)));
        self::assertFalse($need->isMetBy($lift), 'work prepares nothing');
        self::assertCount(2, $rule->needs($this->item('helped-lift-hold', Hands::Each)));
        self::assertSame([], $rule->needs($this->item('dry-wash-warm-up', Hands::Together)));
        self::assertSame('warm or lengthen this part first', Said::of($rule->leftOut([], [$lift])));
        self::assertSame(
            'Warm or lengthen this part first',
            Said::wording()->sentence($rule->leftOut([], [$lift]) ?? ''),
        );
    }

    public function testWhatIsMissingForBothHandsIsSaidOnce(): void
    {
        $each = $this->item('helped-lift-hold', Hands::Each);

        self::assertCount(1, (new PreparedPart())->broken([$each]));
    }

    public function testStrengthYesterdayIsANeedThatNothingMeets(): void
    {
        $rule = new StrengthEverySecondDay(
            new Limits(60, lastStrengthOn: new \DateTimeImmutable('2026-11-19')),
        );
        $strong = $this->item('weighted-wrist-lift', Hands::Right);
        [$need] = $rule->needs($strong);

        foreach (Cases::catalogue()->rungs() as $rung) {
            self::assertFalse($need->isMetBy($this->item($rung->id, Hands::Right)));
        }
        self::assertSame([], $rule->needs($this->item('helped-lift-hold', Hands::Right)));
        self::assertSame([], (new StrengthEverySecondDay(new Limits(60)))->needs($strong));
        self::assertStringContainsString(
            'strength work was done on 19 Nov',
            Said::of($rule->leftOut([], [$strong])),
        );
    }

    /** @return iterable<string, array{float|null, bool, list<string>}> tone, opening fits, what meets the need */
    public static function tones(): iterable
    {
        yield 'tone, and the opening fits' => [2.0, true, ['thumb-lift-away-stretch', 'finger-space-opener']];
        yield 'tone that nobody measured' => [null, true, ['thumb-lift-away-stretch', 'finger-space-opener']];
        yield 'tone, and the opening does not fit' => [2.0, false, ['finger-space-opener']];
        yield 'no tone' => [0.0, true, []];
    }

    /** @param list<string> $met */
    #[DataProvider('tones')]
    public function testATightHandIsOpenedBeforeItWorks(?float $tone, bool $fits, array $met): void
    {
        $rule = new StretchedBefore(new HandsAtWork(null === $tone ? [] : ['right' => $tone], $fits));
        $item = $this->needing(SittingNeed::StretchWhenTight);
        $needs = $rule->needs($item);

        self::assertCount([] === $met ? 0 : 1, $needs);
        foreach ($met as $id) {
            self::assertTrue($needs[0]->isMetBy($this->item($id, Hands::Right)), $id);
            self::assertFalse($needs[0]->isMetBy($this->item($id, Hands::Left)), $id.' of the other hand');
        }
    }

    public function testEveryNeedOfTheCatalogueCanBeMetByTheCatalogue(): void
    {
        $rule = new StretchedBefore(new HandsAtWork([], true));
        foreach (Cases::catalogue()->rungs() as $rung) {
            foreach ($rule->needs($this->item($rung->id, Hands::Right)) as $need) {
                self::assertNotSame([], $this->meeting($need), $rung->id.': '.$need->words->code);
            }
        }
    }

    public function testEveryPartIsPlayedBySomething(): void
    {
        foreach (RungPart::cases() as $part) {
            self::assertNotSame(
                [],
                array_filter(Cases::catalogue()->rungs(), static fn ($rung): bool => $rung->plays($part)),
                $part->value,
            );
        }
    }

    public function testTheFirstReasonIsThatOfTheFirstRule(): void
    {
        $rules = SittingRules::for(new Limits(1), new HandsAtWork(['right' => 0.0], true));
        $lift = [$this->item('helped-lift-hold', Hands::Right)];

        self::assertSame('sitting_rule.need.prepare', $rules->whyLeftOut([], $lift)?->code);
        self::assertSame('left_out.time', $rules->whyLeftOut($this->items('wrist-ease-back'), $lift)?->code);
        self::assertNull(
            SittingRules::for(new Limits(60), new HandsAtWork(['right' => 0.0], true))
                ->whyLeftOut($this->items('wrist-ease-back'), $lift),
        );
    }

    public function testANewRuleIsAClassAndALine(): void
    {
        $noStrength = new class implements SittingRule {
            public function broken(array $items): array
            {
                $broken = [];
                foreach ($items as $at => $item) {
                    if (EffortClass::Strength === $item->rung->load->class) {
                        $broken[] = new BrokenRule('no-strength', Phrase::own('none today'), $at);
                    }
                }

                return $broken;
            }

            public function needs(Item $item): array
            {
                return [];
            }

            public function leftOut(array $chosen, array $missing): ?Phrase
            {
                return [] === $this->broken($missing) ? null : Phrase::own('none today');
            }
        };
        $rules = new SittingRules([$noStrength]);
        $items = $this->items('helped-lift-hold', 'weighted-wrist-lift');

        self::assertSame(['no-strength'], self::codes($rules->broken($items)));
        self::assertSame('none today', Said::of($rules->whyLeftOut([], [$items[1]])));
    }

    /** @return iterable<string, array{string}> */
    public static function cases(): iterable
    {
        foreach (['tight-hand', 'cupped-hands', 'fingers-together'] as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('cases')]
    public function testWhatTheBuilderMakesIsBrokenByTakingThePreparationOut(string $name): void
    {
        $case = Cases::example($name);
        $builder = new Builder(Cases::catalogue());
        $brief = $case->brief((new Placer(Cases::catalogue()))->place($case->facts, $case->today));
        $items = $builder->build($brief)->sequence->items;
        $rules = $builder->rulesFor($case->facts, $case->limits, $case->today);
        self::assertSame([], $rules->broken($items));

        $worked = array_values(array_filter(
            $items,
            static fn (Item $i): bool => $i->isPause || EffortClass::Prep !== $i->rung->load->class,
        ));
        if (\count($worked) < \count($items)) {
            self::assertContains('needs-before', self::codes($rules->broken($worked)));
        }
        self::assertContains('no-warm-up', self::codes($rules->broken(
            array_values(array_filter($items, static fn (Item $i): bool => !$i->isWarmUp())),
        )));
    }

    /** @return list<string> ids of the rungs that meet a need */
    private function meeting(Need $need): array
    {
        $ids = [];
        foreach (Cases::catalogue()->rungs() as $rung) {
            if ($need->isMetBy($this->item($rung->id, Hands::Right))) {
                $ids[] = $rung->id;
            }
        }

        return $ids;
    }

    private function needing(SittingNeed $need): Item
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            if ($need === $rung->sitting->need) {
                return $this->item($rung->id, Hands::fromSide(Side::Right));
            }
        }
        self::fail($need->value);
    }

    /** @return non-empty-list<Item> */
    private function items(string ...$ids): array
    {
        $items = array_map(fn (string $id): Item => $this->item($id, Hands::Right), array_values($ids));

        return [] === $items ? self::fail('nothing named') : $items;
    }

    private function item(string $id, Hands $hands): Item
    {
        $rung = Cases::catalogue()->rung($id);

        return new Item($rung, $hands, $rung->dosing->start, Phrase::own('test'));
    }

    /**
     * @param list<BrokenRule> $broken
     *
     * @return list<string>
     */
    private static function codes(array $broken): array
    {
        return array_map(static fn (BrokenRule $b): string => $b->code, $broken);
    }
}

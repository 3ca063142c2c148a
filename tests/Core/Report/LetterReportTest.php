<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Report;

use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Report\Heading;
use HandGarden\Core\Report\PlainThing;
use HandGarden\Core\Report\PlanNow;
use HandGarden\Core\Report\ReadingGrade;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A letter in words that everybody knows, which says no more than the measures do. */
final class LetterReportTest extends TestCase
{
    /** @return iterable<string, array{Judgement, bool, string}> */
    public static function words(): iterable
    {
        yield 'gain' => [Judgement::Gain, false, 'Your right hand opens clearly wider than in October.'];
        yield 'injected' => [Judgement::Gain, true, 'The shot and the work came together.'];
        yield 'loss' => [Judgement::Loss, false, 'opens less than in October. We look for the reason together.'];
        yield 'the same' => [Judgement::NoChange, false, 'Your right hand opens about as far as before.'];
        yield 'otherwise' => [Judgement::NotComparable, false, 'we cannot compare them yet'];
    }

    #[DataProvider('words')]
    public function testEachStateHasItsWords(Judgement $judgement, bool $isInjected, string $words): void
    {
        $said = self::said([MadeUpMaterial::measured($judgement, $isInjected)]);
        self::assertStringContainsString($words, $said);
        self::assertSame(Judgement::Gain === $judgement, str_contains($said, 'clearly wider'), $said);
        self::assertSame(
            Judgement::NoChange === $judgement,
            str_contains($said, 'Nothing has clearly changed'),
        );
    }

    public function testAMonthThatIsNotOverIsSaidByItsDay(): void
    {
        $said = MadeUpMaterial::said(ReportKind::Letter, MadeUpMaterial::of(
            measures: [MadeUpMaterial::measured(Judgement::Gain, firstOn: '2026-11-02')],
        ));
        self::assertStringContainsString('clearly wider than on 2 Nov.', $said);
        $said = MadeUpMaterial::said(ReportKind::Letter, MadeUpMaterial::of(
            measures: [MadeUpMaterial::measured(Judgement::Gain, firstOn: '2025-11-02')],
        ));
        self::assertStringContainsString('clearly wider than in November 2025.', $said);
    }

    public function testWhereOneFingerJointHasLostNothingOfThatFingerIsCalledBetter(): void
    {
        $said = self::said([
            MadeUpMaterial::measured(Judgement::Gain, key: 'index_mcp_flexion||active|right'),
            MadeUpMaterial::measured(Judgement::Loss, key: 'index_pip_extension||active|right'),
        ]);
        self::assertStringNotContainsString('clearly better', $said);
        self::assertStringContainsString('less good than in October', $said);
    }

    public function testNothingMeasuredTwiceIsNotNoChange(): void
    {
        self::assertStringContainsString('So we cannot tell.', self::said([]));
        self::assertStringContainsString(
            'Nothing has clearly changed yet. That is common.',
            self::said([MadeUpMaterial::measured(Judgement::NoChange)]),
        );
    }

    public function testAnIllnessIsNobodysFaultAndTheEasierBeginIsSaidOnlyWhereThereWasOne(): void
    {
        $said = static fn (bool $eased): string => MadeUpMaterial::said(
            ReportKind::Letter,
            MadeUpMaterial::of(gaps: [MadeUpMaterial::gap(wasEased: $eased)]),
            Heading::YouDid,
        );
        self::assertStringContainsString(
            'You were ill from 3 Nov to 16 Nov. We began lower again.',
            $said(true),
        );
        self::assertStringNotContainsString('lower', $said(false));
    }

    public function testWhatWaitsIsSaid(): void
    {
        $plan = static fn (int $open, int $waiting): string => MadeUpMaterial::said(
            ReportKind::Letter,
            MadeUpMaterial::of(
                plan: new PlanNow('r-1', $open, $waiting, 20, daysPerWeek: 5, blockId: null, ends: null),
            ),
            Heading::Next,
        );
        self::assertStringContainsString('on 5 days a week. It takes 20 minutes', $plan(7, 0));
        self::assertStringContainsString('Some of it waits', $plan(1, 6));
        self::assertStringContainsString('The exercises wait until we have looked', $plan(0, 7));
    }

    public function testEveryMeasureOfAHandHasPlainWordsOrIsLeftOut(): void
    {
        $kinds = Cases::catalogue()->vocabulary->kinds;
        $without = [];
        foreach ($kinds->all() as $kind) {
            $thing = PlainThing::of($kind->code.'||active|right');
            if (null === $thing) {
                $without[] = $kind->code;
                continue;
            }
            $words = Said::of($thing->words());
            self::assertDoesNotMatchRegularExpression('/letter_thing|[{}°%]|MCP|PIP/', $words);
        }
        self::assertSame(
            ['back_after_s', 'task_goes', 'task_content', 'commands_n'],
            array_values(
                array_filter($without, static fn (string $c): bool => !str_starts_with($c, 'pip_')),
            ),
        );
    }

    public function testALetterWithEverythingInItIsForTheSixthYearOfSchool(): void
    {
        $measures = [];
        foreach (['opening||active|right', 'wrist_extension||active|left', 'total_index||active|right'] as $key) {
            foreach (Judgement::cases() as $judgement) {
                $measures[] = MadeUpMaterial::measured($judgement, true, $key);
            }
        }
        $said = MadeUpMaterial::said(ReportKind::Letter, MadeUpMaterial::of(
            $measures,
            [MadeUpMaterial::incident('2026-11-11')],
            [MadeUpMaterial::gap(), MadeUpMaterial::gap(false)],
        ));
        self::assertLessThan(6.0, ReadingGrade::of($said));
    }

    /** @param list<\HandGarden\Core\Report\Measured> $measures */
    private static function said(array $measures): string
    {
        return MadeUpMaterial::said(ReportKind::Letter, MadeUpMaterial::of(measures: $measures));
    }
}

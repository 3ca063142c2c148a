<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\LadderPart;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Routine\HandsAtWork;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the rules of a sitting know of the hands: unknown tone is never taken for none. */
final class HandsAtWorkTest extends TestCase
{
    /** @return iterable<string, array{array<string, float|bool>, bool, bool}> readings, tone possible, tight */
    public static function hands(): iterable
    {
        yield 'nobody looked' => [[], true, true];
        yield 'no tone' => [['tone_finger' => 0.0, 'curls' => false], false, false];
        yield 'a catch only' => [['tone_finger' => 1.0, 'curls' => false], true, false];
        yield '1+ is not yet tight' => [['tone_finger' => 1.5, 'curls' => false], true, false];
        yield 'tone of 2' => [['tone_finger' => 2.0, 'curls' => false], true, true];
        yield 'curls without tone' => [['tone_finger' => 0.0, 'curls' => true], false, true];
        yield 'no tone, curling not looked at' => [['tone_finger' => 0.0], false, false];
    }

    /** @param array<string, float|bool> $known */
    #[DataProvider('hands')]
    public function testToneAndTightnessOfTheAffectedHand(
        array $known,
        bool $mayHaveTone,
        bool $isTight,
    ): void {
        $hands = $this->handsOf($known);

        self::assertSame($mayHaveTone, $hands->mayHaveFingerTone(Side::Right));
        self::assertSame($isTight, $hands->isTight($this->item('soft-squeeze', Hands::Right)));
        self::assertSame($isTight, $hands->isTight($this->item('soft-squeeze', Hands::Each)));
    }

    public function testTheUnaffectedHandIsNeitherTonedNorTight(): void
    {
        $hands = $this->handsOf([]);

        self::assertFalse($hands->mayHaveFingerTone(Side::Left));
        self::assertFalse($hands->isTight($this->item('soft-squeeze', Hands::Left)));
    }

    public function testGrippingAndLettingGoFollowTheStrands(): void
    {
        $hands = $this->handsOf([]);
        foreach (Cases::catalogue()->ladders() as $ladder) {
            foreach ($ladder->rungs as $rung) {
                $item = $this->item($rung->id, Hands::Right);
                $grip = $this->item('soft-squeeze', Hands::Right);

                self::assertSame(Strand::Grip === $ladder->strand, $hands->isGripping($item), $rung->id);
                self::assertSame(Strand::Open === $ladder->strand, $hands->letsGo($item, $grip), $rung->id);
            }
        }
    }

    public function testOneHandDoesNotLetGoForTheOther(): void
    {
        $hands = $this->handsOf([]);
        $grip = $this->item('soft-squeeze', Hands::Right);

        self::assertFalse($hands->letsGo($this->item('close-and-open', Hands::Left), $grip));
        self::assertTrue($hands->letsGo($this->item('close-and-open', Hands::Each), $grip));
    }

    public function testTheTightHandOpeningIsALadderThatSaysSo(): void
    {
        $ladders = array_filter(
            Cases::catalogue()->ladders(),
            static fn ($ladder): bool => $ladder->plays(LadderPart::TightHandOpening),
        );

        self::assertCount(1, $ladders);
        self::assertTrue($this->handsOf([])->tightHandOpeningFits);
        self::assertFalse($this->handsOf([], 'cupped-hands')->tightHandOpeningFits, 'Parkinson’s alone');
    }

    /** @param array<string, float|bool> $known of the right hand, today */
    private function handsOf(array $known, string $case = 'tight-hand'): HandsAtWork
    {
        $today = new \DateTimeImmutable('2026-11-20');
        $readings = [];
        foreach ($known as $code => $value) {
            $readings[] = new Reading($code, Side::Right, null, null, value: $value, on: $today);
        }
        $facts = Cases::example($case)->facts->withReadings(new Readings($readings));

        return HandsAtWork::from(
            Cases::catalogue(),
            new KnownFacts($facts, Cases::catalogue()->vocabulary, $today),
            $facts,
        );
    }

    private function item(string $id, Hands $hands): Item
    {
        $rung = Cases::catalogue()->rung($id);

        return new Item($rung, $hands, $rung->dosing->start, Phrase::own('test'));
    }
}

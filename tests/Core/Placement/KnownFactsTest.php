<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\Injection;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Measured;
use HandGarden\Core\Placement\People;
use HandGarden\Core\Placement\Setting;
use HandGarden\Core\Screening\Answer;
use HandGarden\Core\Screening\Screening;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

final class KnownFactsTest extends TestCase
{
    public function testANumberCountsFor28DaysAndNotLonger(): void
    {
        self::assertSame(
            5.0,
            $this->known([$this->hold('2026-10-23', 5.0)])->value(
                'wrist_ext_hold_s',
                null,
                Side::Right,
            ),
        );
        self::assertNull(
            $this->known([$this->hold('2026-10-22', 5.0)])->value(
                'wrist_ext_hold_s',
                null,
                Side::Right,
            ),
        );
    }

    public function testToneCountsFor14DaysAndFor7AfterAnInjection(): void
    {
        $tone = new Reading(
            'tone_finger',
            Side::Right,
            null,
            null,
            value: 2.0,
            on: self::day('2026-11-10'),
        );

        self::assertSame(
            2.0,
            $this->known([$tone])->value('tone_finger', null, Side::Right),
        );
        self::assertNull(
            $this->known(
                [$tone],
                self::day('2026-10-01'),
            )->value('tone_finger', null, Side::Right),
        );
    }

    public function testFlexionIsPositiveInItsOwnDirection(): void
    {
        $flexion = new Reading(
            'wrist_flexion',
            Side::Right,
            Mode::Passive,
            null,
            value: -60.0,
            on: self::day('2026-11-19'),
        );

        self::assertSame(
            60.0,
            $this->known([$flexion])->value('wrist_flex_passive_deg', null, Side::Right),
        );
    }

    public function testStrongerEvidenceSettlesTheUnknownAndNeverTheKnown(): void
    {
        $lifts = new Reading(
            'wrist_lift_reps_n',
            Side::Right,
            null,
            null,
            value: 15.0,
            on: self::day('2026-11-19'),
        );

        self::assertTrue($this->known([$lifts])->value(
            'wrist_lowers_slowly',
            null,
            Side::Right,
        ));
        self::assertSame(
            5.0,
            $this->known([$lifts])->value('wrist_ext_hold_s', null, Side::Right),
        );
        self::assertSame(
            3.0,
            $this->known(
                [$lifts, $this->hold('2026-11-19', 3.0)],
            )->value('wrist_ext_hold_s', null, Side::Right),
        );
    }

    public function testThumbOutAndThumbTrappedSettleEachOtherWithoutTurningInCircles(): void
    {
        $trapped = new Reading(
            'thumb_trapped',
            Side::Right,
            null,
            null,
            value: true,
            on: self::day('2026-11-19'),
        );

        self::assertFalse($this->known([$trapped])->value('thumb_out', null, Side::Right));
        self::assertNull($this->known([])->value('thumb_out', null, Side::Right));
    }

    public function testAHandFoundWhollyUnaffectedHasItsObservationsAnsweredAndNoNumbers(): void
    {
        $known = $this->known([]);

        self::assertTrue($known->value('lies_flat', null, Side::Left));
        self::assertFalse($known->value('curls', null, Side::Left));
        self::assertNull($known->value('wrist_ext_hold_s', null, Side::Left));
    }

    public function testScreeningAnswersSettleWhatTheySpeakOf(): void
    {
        self::assertTrue(
            $this->known([], null, ['shoulder' => Answer::No])->value(
                'shoulder_cleared',
                null,
                Side::Right,
            ),
        );
        self::assertFalse(
            $this->known(
                [],
                null,
                ['shoulder' => Answer::Yes],
            )->value('shoulder_free', null, Side::Right),
        );
        self::assertNull($this->known([])->value('shoulder_free', null, Side::Right));
    }

    private function hold(string $day, float $seconds): Reading
    {
        return new Reading(
            'wrist_ext_hold_s',
            Side::Right,
            null,
            null,
            value: $seconds,
            on: self::day($day),
        );
    }

    /**
     * @param list<Reading>         $readings
     * @param array<string, Answer> $answers
     */
    private function known(
        array $readings,
        ?\DateTimeImmutable $injected = null,
        array $answers = [],
    ): KnownFacts {
        $today = self::day('2026-11-20');
        $screening = new Screening(
            Cases::catalogue()->screening,
            array_map(static fn (Answer $a): array => [$a, $today], $answers),
        );

        return new KnownFacts(
            new ClientFacts(
                new People([Condition::Stroke], [Side::Right], [Side::Left], Side::Right),
                new Setting(),
                new Measured(
                    new Readings($readings),
                    $screening,
                    null === $injected ? null : new Injection($injected, [Side::Right]),
                ),
                new Decided(),
            ),
            Cases::catalogue()->vocabulary,
            $today,
        );
    }

    private static function day(string $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable($day, new \DateTimeZone('UTC'));
    }
}

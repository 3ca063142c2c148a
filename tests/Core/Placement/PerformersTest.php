<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Asks;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Measured;
use HandGarden\Core\Placement\People;
use HandGarden\Core\Placement\Performers;
use HandGarden\Core\Placement\Setting;
use HandGarden\Core\Screening\Screening;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Somebody who is to do an exercise counts only if able. */
final class PerformersTest extends TestCase
{
    /**
     * @return iterable<string, array{list<array{string, ?string, float|bool}>, bool}> what is found of the left hand,
     *     and whether it helps
     */
    public static function otherHands(): iterable
    {
        $good = [['opening', null, 70.0], ['tone_finger', null, 1.0]];
        yield 'opens and is not tight' => [$good, true];
        yield 'nobody has looked' => [[], false];
        yield 'opens too little' => [[['opening', null, 50.0], ['tone_finger', null, 1.0]], false];
        yield 'tight' => [[['opening', null, 70.0], ['tone_finger', null, 2.0]], false];
        yield 'a painful wrist' => [[...$good, ['painful', 'wrist', true]], false];
        yield 'a loose thumb' => [[...$good, ['unstable', 'thumb_base', true]], false];
        yield 'without feeling' => [[...$good, ['touch_felt', null, false]], false];
    }

    /** @param list<array{string, ?string, float|bool}> $left */
    #[DataProvider('otherHands')]
    public function testTheOtherHandHelpsOnlyIfItCan(array $left, bool $helps): void
    {
        $both = new People([Condition::Stroke], [Side::Right, Side::Left], [], Side::Right);
        $rung = $this->rung(Performer::OwnOtherHand);

        self::assertSame(
            $helps,
            [] !== $this->performers($both, $left)->able($rung, Side::Right),
        );
    }

    public function testASoundHandHelps(): void
    {
        self::assertNotSame([], $this->performers($this->one())->able(
            $this->rung(Performer::OwnOtherHand),
            Side::Right,
        ));
    }

    public function testWhoDoesNotSitSafelyDoesNothingThatLeavesTheSeat(): void
    {
        $reaching = $this->rung(Performer::ClientAlone, Asks::Reach);
        $atTheTable = $this->rung(Performer::ClientAlone);
        $unsafe = [['sits_safely', null, false]];
        $leaning = [...$unsafe, ['sits_supported', null, true]];

        self::assertSame(
            [],
            $this->performers($this->one(), $unsafe)->able($atTheTable, Side::Right),
        );
        self::assertNotSame(
            [],
            $this->performers($this->one(), $leaning)->able($atTheTable, Side::Right),
        );
        self::assertSame(
            [],
            $this->performers($this->one(), $leaning)->able($reaching, Side::Right),
        );
        self::assertSame(
            [],
            $this->performers($this->one())->able($reaching, Side::Right),
            'not looked at',
        );
        self::assertNotSame(
            [],
            $this->performers(
                $this->one(),
                [['sits_safely', null, true]],
            )->able($reaching, Side::Right),
        );
    }

    public function testWhoFollowsNoStepDoesNothingAlone(): void
    {
        $rung = $this->rung(Performer::ClientAlone);

        self::assertSame(
            [],
            $this->performers(
                $this->one(),
                [['commands_n', null, 0.0]],
            )->able($rung, Side::Right),
        );
        self::assertNotSame(
            [],
            $this->performers(
                $this->one(),
                [['commands_n', null, 1.0]],
            )->able($rung, Side::Right),
        );
    }

    public function testAHelperIsSignedOffForOneExerciseAndOneHand(): void
    {
        $rung = $this->helped();
        $signed = new Setting(helperHere: true, helperSigned: [$rung->id.'|left']);
        $who = $this->performers($this->one(), [['commands_n', null, 0.0]], $signed);

        self::assertContains(Performer::Helper, $who->able($rung, Side::Left));
        self::assertNotContains(Performer::Helper, $who->able($rung, Side::Right));
    }

    public function testInAdvancedDementiaNothingIsDoneAlone(): void
    {
        $people = new People([Condition::AdvancedDementia], [Side::Right], [], Side::Right);

        self::assertTrue($this->performers($people)->isAlone());
        self::assertFalse($this->performers(
            $people,
            [],
            new Setting(helperHere: true),
        )->isAlone());
        foreach (Cases::catalogue()->rungs() as $rung) {
            self::assertSame(
                [],
                $this->performers($people)->able($rung, Side::Right),
                $rung->id,
            );
        }
    }

    private function rung(Performer $only, ?Asks $asks = null): Rung
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            $asked = null === $asks ? [] === $rung->demands->asks : $rung->demands->asks($asks);
            if ([$only] === $rung->fit->performers && $asked) {
                return $rung;
            }
        }
        self::fail('no exercise of '.$only->value);
    }

    private function helped(): Rung
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            if (\in_array(Performer::Helper, $rung->fit->performers, true)) {
                return $rung;
            }
        }
        self::fail('no exercise of a helper');
    }

    private function one(): People
    {
        return new People([Condition::Stroke], [Side::Right], [Side::Left], Side::Right);
    }

    /** @param list<array{string, ?string, float|bool}> $found of the left hand */
    private function performers(
        People $people,
        array $found = [],
        Setting $setting = new Setting(),
    ): Performers {
        $today = new \DateTimeImmutable('2026-11-20');
        $catalogue = Cases::catalogue();
        $readings = [];
        foreach ($found as [$code, $argument, $value]) {
            $readings[] = new Reading(
                $code,
                $catalogue->vocabulary->isSided($code) || 'opening' === $code ? Side::Left : null,
                'opening' === $code ? Mode::Active : null,
                $argument,
                value: $value,
                on: $today,
            );
        }
        $facts = new ClientFacts(
            $people,
            $setting,
            new Measured(new Readings($readings), new Screening($catalogue->screening, [])),
            new Decided(),
        );

        return new Performers(
            $facts,
            new KnownFacts($facts, $catalogue->vocabulary, $today),
        );
    }
}

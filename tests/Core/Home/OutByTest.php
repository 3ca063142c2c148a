<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Home;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Home\AlertWord;
use HandGarden\Core\Home\KeyPictures;
use HandGarden\Core\Home\LetInCode;
use HandGarden\Core\Home\OutBy;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Routine\Door;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Placement\RandomClient;
use PHPUnit\Framework\TestCase;

final class OutByTest extends TestCase
{
    public function testSeverePainLeavesRestPositionsAndBreathingAlone(): void
    {
        foreach (self::items() as $item) {
            $isLeft = !\in_array(OutBy::SeverePain, OutBy::of($item, self::anyDoor()), true);
            self::assertSame(EffortClass::Calm === $item->rung->load->class, $isLeft, $item->rung->id);
        }
    }

    public function testNoSkinIsRubbedOrWornUponWhileItIsBroken(): void
    {
        foreach (self::items() as $item) {
            $isWorn = EffortClass::Device === $item->rung->load->class || null !== $item->rung->walk->minutes;
            if ($isWorn) {
                self::assertContains(OutBy::BrokenSkin, OutBy::of($item, self::anyDoor()), $item->rung->id);
            }
        }
        self::assertContains(
            OutBy::BrokenSkin,
            OutBy::of(self::item('finger-lengthening-massage'), self::anyDoor()),
        );
    }

    public function testWithNobodyThereWhatIsDoneByAHelperIsOut(): void
    {
        $out = 0;
        foreach (range(1, 12) as $seed) {
            $random = new RandomClient($seed);
            $facts = $random->facts();
            $alone = self::door($random, $facts->withSetting($facts->setting->alone()));
            foreach (self::items() as $item) {
                $isOut = \in_array(OutBy::NobodyThere, OutBy::of($item, $alone), true);
                self::assertSame(null !== $alone->stops($item), $isOut, $item->rung->id);
                $out += $isOut ? 1 : 0;
            }
        }
        self::assertGreaterThan(0, $out);
    }

    public function testAnOldPlanLeavesNoStrength(): void
    {
        foreach (self::items() as $item) {
            $class = $item->rung->load->class;
            if (EffortClass::Strength === $class || EffortClass::Device === $class) {
                self::assertContains(OutBy::OldPlan, OutBy::of($item, self::anyDoor()), $item->rung->id);
            }
            if ($class->isRestful()) {
                self::assertNotContains(OutBy::OldPlan, OutBy::of($item, self::anyDoor()), $item->rung->id);
            }
        }
    }

    public function testACodeIsReadHoweverItIsTyped(): void
    {
        $code = LetInCode::made(static fn (int $from, int $to): int => $to);

        self::assertSame('ZZZZ ZZZZ', $code->words());
        self::assertSame('ABCD2345', LetInCode::typed(' abcd-2345 ')?->signs);
        self::assertNull(LetInCode::typed('ABCD234'));
        self::assertNull(LetInCode::typed('ABCD234O'), 'no sign that is read for another');
    }

    public function testPicturesTellKeysApart(): void
    {
        $seen = [];
        for ($n = 0; $n < 400; ++$n) {
            $seen[implode(' ', KeyPictures::of(hash('sha256', (string) $n)))] = true;
        }

        self::assertGreaterThan(360, \count($seen));
        self::assertCount(16, array_unique(KeyPictures::NAMES));
    }

    public function testTheWordsNeverPretendThatSomebodyIsWatching(): void
    {
        self::assertSame(AlertWord::Received, AlertWord::of(false, false, false));
        self::assertSame(AlertWord::Seen, AlertWord::of(true, false, false));
        self::assertSame(AlertWord::LimitPassed, AlertWord::of(true, false, true), 'seen is not answered');
        self::assertSame(AlertWord::Answered, AlertWord::of(true, true, true));
    }

    private static function anyDoor(): Door
    {
        /** @var ?Door $door */
        static $door = null;
        if (null === $door) {
            $random = new RandomClient(1);
            $door = self::door($random, $random->facts());
        }

        return $door;
    }

    private static function door(RandomClient $client, ClientFacts $facts): Door
    {
        $catalogue = Cases::catalogue();

        return new Door(
            $catalogue,
            $facts,
            new KnownFacts($facts, $catalogue->vocabulary, $client->today),
            $client->today,
        );
    }

    /** @return iterable<Item> */
    private static function items(): iterable
    {
        foreach (Cases::catalogue()->ladders() as $ladder) {
            foreach ($ladder->rungs as $rung) {
                yield self::of($rung);
            }
        }
    }

    private static function item(string $id): Item
    {
        return self::of(Cases::catalogue()->rung($id));
    }

    private static function of(Rung $rung): Item
    {
        return new Item($rung, Hands::Right, $rung->dosing->start, new Phrase('test'));
    }
}

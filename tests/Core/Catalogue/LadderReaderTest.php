<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Catalogue;

use HandGarden\Content\LadderReader;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\LadderPart;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Catalogue\SittingNeed;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/** Ladder files: what is wrong is named with its place, and files of before are still read. */
final class LadderReaderTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, string, string}> change of the rung, place, words */
    public static function wrongRungs(): iterable
    {
        yield 'a key nobody asked for' => [['colour' => 'red'], 'rungs[0].colour', 'not known here'];
        yield 'no steps' => [['steps' => []], 'rungs[0].steps', 'one step or more'];
        yield 'an intensity of six' => [['intensity' => 6], 'rungs[0].intensity', '6'];
        yield 'a posture nobody takes' => [['posture' => 'upside down'], 'rungs[0].posture', 'upside down'];
        yield 'a material there is none of' => [['materials' => ['anvil']], 'rungs[0].materials[0]', 'no material'];
        yield 'a caution there is none of' => [['avoid_when' => ['gloom']], 'rungs[0].avoid_when[0]', 'no caution'];
        yield 'a gate there is none of' => [['gates' => ['G-MOOD']], 'rungs[0].gates[0]', 'no gate'];
        yield 'a condition with an unknown word' => [['when' => 'charm>=3'], 'rungs[0].when', 'charm'];
        yield 'a condition that does not end' => [['when' => '(lets_go'], 'rungs[0].when', 'expected'];
        yield 'a need nobody knows' => [['needs_before' => 'a nap'], 'rungs[0].needs_before', 'a nap'];
        yield 'a part nobody plays' => [['parts' => ['first fiddle']], 'rungs[0].parts', 'first fiddle'];
        yield 'a muscle nobody has' => [['loads' => ['finger flexor']], 'rungs[0].loads[0]', 'finger flexor'];
        yield 'a lengthened muscle nobody has' => [['lengthens' => ['fingers']], 'rungs[0].lengthens[0]', 'fingers'];
        yield 'a role nobody has' => [['role' => 'encore'], 'rungs[0].role', 'encore'];
        yield 'a tag of no school' => [['tags' => ['astrology']], 'rungs[0].tags', 'astrology'];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('wrongRungs')]
    public function testWhatIsWrongWithARungIsNamedWithItsPlace(
        array $change,
        string $place,
        string $words,
    ): void {
        try {
            $this->withRung('wrist-forward-release', $change, 'open-3');
            self::fail('It was read.');
        } catch (InvalidData $e) {
            self::assertStringContainsString($place, $e->getMessage());
            self::assertStringContainsString($words, $e->getMessage());
        }
    }

    public function testALadderHasARung(): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('one rung or more');
        $this->read(['rungs' => []] + $this->file('open-3'));
    }

    /** @return iterable<string, array{string, SittingNeed}> */
    public static function needs(): iterable
    {
        foreach (SittingNeed::cases() as $need) {
            yield $need->value => [$need->value, $need];
        }
        yield 'as it was written before' => ['wrist-ease-back', SittingNeed::WristEasedBack];
        yield 'and the other' => ['web-wedge-stretch', SittingNeed::WebsOpened];
    }

    #[DataProvider('needs')]
    public function testANeedIsReadInBothSpellings(string $written, SittingNeed $need): void
    {
        $rung = $this->withRung('wrist-forward-release', ['needs_before' => $written], 'open-3');

        self::assertSame($need, $rung->sitting->need);
    }

    public function testPartsAreReadAndAreNoneWhereNothingIsSaid(): void
    {
        $rung = $this->withRung(
            'wrist-forward-release',
            ['parts' => ['opens webs', 'is woken']],
            'open-3',
        );

        self::assertSame([RungPart::OpensWebs, RungPart::IsWoken], $rung->sitting->parts);
        self::assertTrue($rung->plays(RungPart::OpensWebs));
        self::assertFalse($rung->plays(RungPart::EasesWristBack));
        self::assertSame([], $this->withRung('wrist-forward-release', [], 'open-3')->sitting->parts);
    }

    public function testWhatBothArmsDoAsksBothHandsUnlessTheSoundOneCarries(): void
    {
        $carried = $this->read($this->file('mobilize-1'));
        self::assertTrue($carried->plays(LadderPart::CarriedArm));
        $file = $this->file('mobilize-1');
        unset($file['parts']);
        $plain = $this->read($file);

        foreach ($carried->rungs as $i => $rung) {
            if ($rung->fit->doneOn->isPlacedOnce()) {
                self::assertNotEquals($rung->fit, $plain->rungs[$i]->fit, $rung->id);
            }
        }
    }

    public function testTheLaddersThatLetGoAreTriedInTheirOrder(): void
    {
        self::assertSame(
            ['open-3', 'open-1', 'open-4'],
            array_map(static fn (Ladder $l): string => $l->key, Cases::catalogue()->laddersThatLetGo()),
        );
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('lets_go');
        $this->read(['lets_go' => 0] + $this->file('open-3'));
    }

    public function testEveryRungOfTheCatalogueIsReadBackTheSameFromItsOwnFile(): void
    {
        foreach (Cases::catalogue()->ladders() as $ladder) {
            self::assertEquals($ladder, $this->read($this->file($ladder->key)), $ladder->key);
        }
    }

    public function testAPartOfAConditionIsThePartTheRungWorksOn(): void
    {
        $conditions = [];
        foreach (Cases::catalogue()->rungs() as $rung) {
            foreach ($rung->fit->cautions as $caution) {
                $conditions[] = (string) $caution->blocksWhile;
            }
        }

        self::assertSame([], preg_grep('/\(segment\)/', $conditions), 'none is left as it was written');
    }

    /** @return array<string, mixed> */
    private function file(string $ladder): array
    {
        $file = Yaml::parseFile(Cases::root().'/catalogue/ladders/'.$ladder.'.yaml');
        \assert(\is_array($file));
        /** @var array<string, mixed> $file */

        return $file;
    }

    /** @param array<string, mixed> $change */
    private function withRung(string $id, array $change, string $ladder): Rung
    {
        $file = $this->file($ladder);
        \assert(\is_array($file['rungs']));
        foreach ($file['rungs'] as $rung) {
            if (\is_array($rung) && $rung['id'] === $id) {
                return $this->read(['rungs' => [$change + $rung]] + $file)->rungs[0];
            }
        }
        self::fail($id);
    }

    /** @param array<mixed> $file */
    private function read(array $file): Ladder
    {
        return LadderReader::from(Cases::catalogue())->read(Node::root($file));
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Catalogue;

use HandGarden\Content\CatalogueReader;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\ApproachTag;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\DoseKind;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\LadderPart;
use HandGarden\Core\Catalogue\MuscleLoad;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\ProgressKind;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Catalogue\SittingNeed;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Catalogue\UnknownRung;
use HandGarden\Core\CoreError;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Drawing\View;
use HandGarden\Exchange\Case\SchemaCheck;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Yaml\Yaml;

final class CatalogueTest extends TestCase
{
    public function testEveryReviewedLadderIsThereWithItsRungsInOrderAndOneRungMore(): void
    {
        $ladders = [];
        foreach (Cases::catalogue()->ladders() as $ladder) {
            $ladders[$ladder->key] = $ladder;
        }
        $reviewed = Cases::reviewed()['ladders'];
        self::assertCount(58, $ladders);
        self::assertCount(58, $reviewed);
        $perStrand = [];
        foreach ($reviewed as $expected) {
            $ladder = $ladders[$expected['key']] ?? self::fail($expected['key'].' is missing');
            self::assertSame($expected['name'], $ladder->name);
            self::assertSame($expected['strand'], $ladder->strand->value);
            $ids = array_map(static fn ($r): string => $r->id, $ladder->rungs);
            self::assertSame(
                'stretch-2' === $ladder->key
                    ? [...$expected['rungs'], 'open-hand-weight-lean']
                    : $expected['rungs'],
                $ids,
            );
            $perStrand[$ladder->strand->value] = (
                $perStrand[$ladder->strand->value] ?? 0
            ) + \count($ids);
        }
        self::assertCount(188, Cases::catalogue()->rungs());
        self::assertEqualsCanonicalizing(
            [
                'settle' => 11,
                'sensory' => 11,
                'mobilize' => 16,
                'stretch' => 20,
                'base' => 23,
                'open' => 15,
                'separate' => 9,
                'dexterity' => 24,
                'grip' => 21,
                'amplitude' => 11,
                'steady' => 8,
                'timing' => 8,
                'daily' => 11,
            ],
            $perStrand,
        );
    }

    public function testEveryLadderFileFitsTheDocumentedSchemaWhichNamesWhatTheCodeKnows(): void
    {
        $schema = (string) file_get_contents(Cases::root().'/docs/ladder.schema.json');
        $check = new SchemaCheck(Cases::root().'/docs/ladder.schema.json');
        foreach (Cases::catalogue()->ladders() as $one) {
            $check->check(
                json_encode(
                    Yaml::parseFile(Cases::root().'/catalogue/ladders/'.$one->key.'.yaml'),
                    \JSON_THROW_ON_ERROR,
                ),
            );
        }
        foreach (
            [
                ...Performer::cases(),
                ...DoseKind::cases(),
                ...ApproachTag::cases(),
                ...ProgressKind::cases(),
                ...View::cases(),
                ...SittingNeed::cases(),
                ...RungPart::cases(),
                ...LadderPart::cases(),
            ] as $case
        ) {
            self::assertStringContainsString('"'.$case->value.'"', $schema);
        }

        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('rungs[0].intensity');
        $ladder = Yaml::parseFile(Cases::root().'/catalogue/ladders/open-3.yaml');
        self::assertIsArray($ladder);
        $check->check(
            json_encode(
                array_replace_recursive($ladder, ['rungs' => [['intensity' => 9]]]),
                \JSON_THROW_ON_ERROR,
            ),
        );
    }

    /**
     * Orders that practitioners work in: preparation before what it prepares, letting go after gripping, tasks
     * last.
     */
    public function testAnExerciseThatIsGoneIsNamedByItsId(): void
    {
        self::assertSame('Single-finger soft taps', Cases::catalogue()->nameOf('single-finger-taps'));
        self::assertSame('long-gone', Cases::catalogue()->nameOf('long-gone'));
    }

    public function testTheOrdersThatWorkGoAlongWithTheOrderOfASitting(): void
    {
        /** @var array<string, list<string>> $orders */
        $orders = json_decode(
            (string) file_get_contents(Cases::root().'/tests/Core/fixtures/orders.json'),
            true,
            64,
            \JSON_THROW_ON_ERROR,
        );
        $strands = array_flip(array_map(static fn (Strand $s): string => $s->value, Strand::cases()));
        $along = $pairs = 0;
        foreach ($orders as $ids) {
            for ($i = 1; $i < \count($ids); ++$i) {
                $before = Cases::catalogue()->ladderOf($ids[$i - 1]);
                $after = Cases::catalogue()->ladderOf($ids[$i]);
                if ($before->strand !== $after->strand) {
                    ++$pairs;
                    $along += $strands[$before->strand->value] < $strands[$after->strand->value]
                        ? 1
                        : 0;
                } elseif ($before === $after && LadderKind::Climb === $before->kind) {
                    self::assertNotSame(
                        $before->positionOf($ids[$i - 1]),
                        $before->positionOf($ids[$i]),
                    );
                }
            }
        }
        self::assertGreaterThan(40, $pairs);
        self::assertGreaterThan(
            .5,
            $along / $pairs,
            'practitioners go from warm-up to tasks; closing items and pauses lie across it',
        );
        $tight = $orders['tight hand'];
        self::assertLessThan(
            array_search('close-and-open', $tight, true),
            array_search('wrist-ease-back', $tight, true),
        );
    }

    public function testEveryCautionOfTheFileIsUsed(): void
    {
        $file = Node::root(Yaml::parseFile(Cases::root().'/catalogue/cautions.yaml'))->map();
        $used = [];
        foreach (Cases::catalogue()->rungs() as $rung) {
            foreach ($rung->fit->cautions as $caution) {
                $used[$caution->key] = true;
            }
        }

        self::assertCount(131, $file);
        self::assertSame([], array_diff(array_keys($file), array_keys($used)));
    }

    public function testEveryOrderThatWorksNamesExercisesThatAreThere(): void
    {
        /** @var array<string, list<string>> $orders */
        $orders = json_decode(
            (string) file_get_contents(Cases::root().'/tests/Core/fixtures/orders.json'),
            true,
            64,
            \JSON_THROW_ON_ERROR,
        );
        self::assertCount(18, $orders);
        foreach ($orders as $name => $ids) {
            foreach ($ids as $id) {
                self::assertTrue(Cases::catalogue()->hasRung($id), $name.': '.$id);
            }
        }
    }

    public function testWhatOnlyTrainedTherapistsDoStandsInProtocols(): void
    {
        foreach (Cases::catalogue()->ladders() as $ladder) {
            foreach ($ladder->rungs as $rung) {
                self::assertSame(
                    LadderKind::Protocol === $ladder->kind,
                    [Performer::TrainedTherapist] === $rung->fit->performers,
                    $rung->id,
                );
            }
        }
        $release = Cases::catalogue()->handbook()->release;
        self::assertCount(13, $release->steps);
        self::assertSame([4, 5], $release->steps[5]->ifToneRisesGoTo);
    }

    public function testOnlyTwoHandShapesMayBeSwitchedOff(): void
    {
        $shapes = Cases::catalogue()->handbook()->shapes;

        self::assertCount(8, $shapes);
        self::assertSame(
            ['wide-l', 'outer-pair'],
            array_keys(array_filter($shapes, static fn ($s): bool => $s->mayBeSwitchedOff)),
        );
    }

    public function testEveryConditionUsesOnlyTheVocabularyAndHasAWayOfTakingIt(): void
    {
        $vocabulary = Cases::catalogue()->vocabulary;
        $codes = $vocabulary->codes();
        foreach (Cases::catalogue()->rungs() as $rung) {
            $conditions = [
                $rung->fit->entry,
                ...array_filter(array_map(static fn ($c) => $c->blocksWhile, $rung->fit->cautions)),
            ];
            foreach ($conditions as $condition) {
                foreach ($condition->atoms() as $atom) {
                    self::assertContains($atom->code, $codes, $rung->id);
                    self::assertNotSame('', $vocabulary->label($atom->code));
                    self::assertGreaterThanOrEqual(0, $vocabulary->secondsToTake($atom->code));
                    $observation = $vocabulary->observation($atom->code);
                    self::assertTrue(
                        null === $observation || $observation->accepts($atom->argument),
                        $rung->id.': '.$atom,
                    );
                }
            }
        }
    }

    public function testEveryRungHasWhatASittingNeeds(): void
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            self::assertGreaterThanOrEqual(2, \count($rung->instructions->steps), $rung->id);
            self::assertNotSame([], $rung->fit->performers, $rung->id);
            self::assertNotSame([], $rung->fit->conditions, $rung->id);
            foreach (['watchFor', 'ease', 'harder', 'stop', 'why', 'position'] as $words) {
                self::assertNotSame('', $rung->instructions->{$words}, $rung->id.' '.$words);
            }
            self::assertTrue(
                $rung->dosing->start->isAtMost($rung->dosing->range->clamp($rung->dosing->start)),
                $rung->id,
            );
            self::assertTrue(
                [] !== $rung->dosing->progress || SittingRole::Main !== $rung->sitting->role,
                $rung->id.' needs a progress rule',
            );
            self::assertLessThanOrEqual(
                0.5,
                $rung->dosing->range->loadKilograms[1],
                'half a kilogram at most',
            );
        }
    }

    public function testWhatGripsIsKeptFromACurlingHand(): void
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            $grips = [] !== array_filter(
                $rung->load->muscles,
                static fn (MuscleLoad $l): bool => $l->grips(),
            );
            $gated = [] !== array_filter(
                $rung->fit->cautions,
                static fn ($c): bool => str_contains($c->phrase, 'gripping is off'),
            );
            self::assertTrue($gated || !$grips, $rung->id);
        }
    }

    public function testAWholeDementiaClientSeesOnlyWhatListsIt(): void
    {
        $soft = Cases::catalogue()->rung('soft-fist-wide-open');
        $held = Cases::catalogue()->rung('held-fist-full-open');

        self::assertTrue($soft->fit->suits([Condition::AdvancedDementia, Condition::Parkinsons]));
        self::assertFalse($held->fit->suits([Condition::AdvancedDementia, Condition::Parkinsons]));
        self::assertTrue($held->fit->suits([Condition::Parkinsons]));
    }

    public function testLightCountsHalfAndReflexNothing(): void
    {
        self::assertSame(0.5, MuscleLoad::fromText('finger flexors (light)')->share);
        self::assertSame(0.0, MuscleLoad::fromText('finger flexors (reflex)')->share);
        self::assertTrue(MuscleLoad::fromText('wrist extensors')->extends());
        self::assertTrue(MuscleLoad::fromText('thumb adductor')->flexes());
        self::assertFalse(MuscleLoad::fromText('thumb adductor')->grips());
    }

    public function testAnUnknownRungIsNamed(): void
    {
        $this->expectException(UnknownRung::class);
        $this->expectExceptionMessage('"hand-stand"');
        Cases::catalogue()->rung('hand-stand');
    }

    /** @return iterable<string, array{string, mixed, string}> path in the first rung, new value, complaint */
    public static function mistakes(): iterable
    {
        yield 'a key that is none' => ['dosage', 3, 'rungs[0].dosage: is not known here'];
        yield 'a condition that cannot be read' => [
            'when',
            'thumb_out and',
            'rungs[0].when: Cannot read the condition',
        ];
        yield 'a word outside the vocabulary' => [
            'when',
            'thumbs_up',
            'rungs[0].when: The condition "thumbs_up" uses the code "thumbs_up"',
        ];
        yield 'a class that is none' => [
            'class',
            'sport',
            'rungs[0].class: "sport" is not one of calm',
        ];
        yield 'a gate that is none' => [
            'gates',
            ['G-MOON'],
            'rungs[0].gates[0]: no gate of this name',
        ];
        yield 'no steps' => ['steps', [], 'rungs[0].steps: an exercise has one step or more'];
        yield 'a dose below one' => [
            'dose',
            ['sets' => 0, 'repetitions' => 1, 'parts' => 1, 'move' => 1, 'hold' => 0, 'rest' => 0],
            'rungs[0].dose: Expected 1 set',
        ];
        yield 'a start outside its range' => [
            'range',
            ['repetitions' => [2, 2], 'hold' => [1, 30]],
            'rungs[0].range: the start dose lies outside',
        ];
        yield 'a start above its amounts' => [
            'amount',
            ['sets' => [1, 1]],
            'rungs[0].range: the start dose lies outside: Sets of this rung: 2 is outside 1..1',
        ];
        yield 'a range upside down' => [
            'range',
            ['repetitions' => [3, 1], 'hold' => [1, 30]],
            'rungs[0].range.repetitions: expected the least and the most',
        ];
        yield 'an intensity of nine' => ['intensity', 9, 'rungs[0].intensity: 9 is outside 1..5'];
        yield 'a missing word' => ['why', null, 'rungs[0].why: is missing'];
    }

    #[DataProvider('mistakes')]
    public function testAMistakeInALadderFileIsLocated(
        string $key,
        mixed $value,
        string $message,
    ): void {
        $data = CatalogueStore::parse(Cases::root().'/catalogue');
        $ladder = $data['ladders']['ladders/stretch-1.yaml'];
        self::assertIsArray($ladder);
        self::assertIsArray($ladder['rungs']);
        self::assertIsArray($ladder['rungs'][0]);
        $ladder['rungs'][0][$key] = $value;
        $data['ladders']['ladders/stretch-1.yaml'] = $ladder;

        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('ladders/stretch-1.yaml.'.$message);
        (new CatalogueReader())->read($data);
    }

    /** Whatever is broken, the complaint is one of ours and names a file. */
    public function testAnyBrokenValueEndsInALocatedComplaint(): void
    {
        $whole = CatalogueStore::parse(Cases::root().'/catalogue');
        $refused = 0;
        for ($seed = 0; $seed < 160; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $files = array_keys($whole['ladders']);
            $file = $files[$random->getInt(0, \count($files) - 1)];
            $data = [
                'ladders' => [$file => $whole['ladders'][$file]],
                'goals' => ['goals' => []],
                'impairments' => ['impairments' => []],
            ] + $whole;
            $names = [
                'vocabulary',
                'cautions',
                'screening',
                'materials',
                'shapes',
                'rules',
                'scripts',
                'release',
            ];
            $name = $names[$random->getInt(0, \count($names) - 1)];
            if (0 === $seed % 3) {
                $data[$name] = $this->broken($data[$name], $random, 3);
            } else {
                $data['ladders'][$file] = $this->broken($data['ladders'][$file], $random, 4);
            }
            try {
                (new CatalogueReader())->read($data);
            } catch (CoreError $e) {
                ++$refused;
                // A caution, gate or material that broke may be missed by the ladder that names it.
                self::assertMatchesRegularExpression(
                    '~^('.preg_quote($file, '~').'|'.$name.'\\.yaml)~',
                    $e->getMessage(),
                    "seed $seed",
                );
            }
        }
        self::assertGreaterThan(80, $refused);
    }

    /**
     * Text that is no YAML any more, or names what is not there, is refused with its file, by everything that reads
     * the folder.
     */
    public function testBrokenTextIsRefusedWithItsFile(): void
    {
        $dir = sys_get_temp_dir().'/garden-broken-'.getmypid();
        (new Filesystem())->mirror(Cases::root().'/catalogue', $dir);
        $refused = 0;
        try {
            foreach (
                [
                    'things.yaml',
                    'second-hands.yaml',
                    'figures.yaml',
                    'poses.yaml',
                    'order.yaml',
                    'ladders/open-3.yaml',
                    'cautions.yaml',
                    'release.yaml',
                ] as $seed => $file
            ) {
                $random = new Randomizer(new Mt19937($seed));
                $text = (string) file_get_contents($dir.'/'.$file);
                $at = $random->getInt(0, \strlen($text) - 200);
                file_put_contents(
                    $dir.'/'.$file,
                    substr($text, 0, $at)
                        .['', '{', ': [', "\n\t- "][$seed % 4]
                        .substr($text, $at + $random->getInt(1, 40)),
                );
                try {
                    CatalogueStore::read($dir);
                } catch (InvalidData $e) {
                    ++$refused;
                    self::assertMatchesRegularExpression('~^[\w/-]+\.yaml~', $e->getMessage(), $file);
                }
                file_put_contents($dir.'/'.$file, $text);
            }
        } finally {
            (new Filesystem())->remove($dir);
        }
        self::assertGreaterThanOrEqual(6, $refused);
    }

    private function broken(mixed $value, Randomizer $random, int $depth): mixed
    {
        if (!\is_array($value) || [] === $value || 0 === $depth) {
            return [null, -7, 'no such thing', [], ['a' => 1], true, 3.5][$random->getInt(0, 6)];
        }
        $keys = array_keys($value);
        $key = $keys[$random->getInt(0, \count($keys) - 1)];
        $value[$key] = $this->broken($value[$key], $random, $depth - 1);

        return $value;
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Approach;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Approach\Approaches;
use HandGarden\Core\Approach\Question;
use HandGarden\Core\Approach\School;
use HandGarden\Core\Catalogue\ApproachTag;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Exchange\Case\CaseFile;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ApproachesTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, Question, School, string}> changes to the tight hand */
    public static function defaults(): iterable
    {
        $opening = static fn (int $bent, int $straight): array => [
            'measures' => [
                [
                    'code' => 'opening',
                    'side' => 'right',
                    'mode' => 'passive',
                    'at' => '-60',
                    'percent' => $bent,
                ],
                [
                    'code' => 'opening',
                    'side' => 'right',
                    'mode' => 'passive',
                    'at' => '0',
                    'percent' => $straight,
                ],
            ],
        ];
        $tone = static fn (string $grade): array => [
            'measures' => [['code' => 'tone_finger', 'side' => 'right', 'grade' => $grade]],
            'observations' => [],
        ];
        $answer = static fn (string $code, string $answer): array => [
            'measures' => [],
            'observations' => [['code' => $code, 'side' => 'right', 'answer' => $answer]],
        ];
        yield 'a bent wrist opens by 20 points' => [
            $opening(60, 40),
            Question::Wrist,
            School::A,
            'gains 20 points',
        ];
        yield 'by 10 only' => [$opening(50, 40), Question::Wrist, School::B, 'gains 10 points'];
        yield 'not measured' => [['measures' => []], Question::Wrist, School::A, 'not measured'];
        yield 'tone 2' => [$tone('2'), Question::Squeezing, School::B, 'Tone'];
        yield 'tone 1+' => [$tone('1+'), Question::Squeezing, School::A, 'under 2'];
        yield 'curls' => [$answer('curls', 'yes'), Question::Squeezing, School::B, 'curls'];
        yield 'thumb held down' => [
            $answer('thumb_trapped', 'yes'),
            Question::Fist,
            School::B,
            'hold the thumb',
        ];
        yield 'thumb free' => [
            $answer('thumb_trapped', 'no'),
            Question::Fist,
            School::A,
            'Nothing holds',
        ];
        yield 'quick stretch is never for clients' => [[], Question::Quieting, School::A, 'Always'];
        yield 'no tremor' => [[], Question::Load, School::A, 'No tremor'];
        yield 'mapping first' => [[], Question::TaskDystonia, School::B, 'Mapping'];
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('defaults')]
    public function testTheDefaultFollowsFromWhatIsMeasuredAndSaysSo(
        array $changes,
        Question $question,
        School $school,
        string $reason,
    ): void {
        $choice = $this->approaches(
            Cases::changed('tight-hand', $changes),
        )->choice($question, Side::Right);

        self::assertSame($school, $choice->school);
        self::assertStringContainsString($reason, Said::wording()->sentence($choice->reason));
        self::assertFalse($choice->isOwn());
    }

    public function testWeightsForAShakingHandWaitForASteadyingTrial(): void
    {
        $case = Cases::example('cupped-hands');
        self::assertSame(
            School::B,
            $this->approaches($case)->choice(Question::Load, Side::Right)->school,
        );
        $rung = Cases::catalogue()->rung('weighted-cup-drink');
        self::assertStringContainsString(
            'no weights; no steadying trial',
            Said::of($this->approaches($case)->refuses($rung, Side::Right)),
        );
        /** @var array{observations: list<array<string, mixed>>} $file */
        $file = json_decode(
            (string) file_get_contents(Cases::root().'/docs/examples/cupped-hands.json'),
            true,
            64,
            \JSON_THROW_ON_ERROR,
        );
        $shown = Cases::changed(
            'cupped-hands',
            [
                'observations' => [
                    ...$file['observations'],
                    [
                        'code' => 'steady_gain',
                        'part' => 'weight',
                        'side' => 'right',
                        'answer' => 'yes',
                    ],
                ],
            ],
        );
        self::assertSame(
            School::A,
            $this->approaches($shown)->choice(Question::Load, Side::Right)->school,
        );
        self::assertNull($this->approaches($shown)->refuses($rung, Side::Right));
    }

    public function testATherapistsChoiceStandsWithItsNoteBesideTheDefault(): void
    {
        $case = Cases::changed(
            'tight-hand',
            [
                'approaches' => [
                    ['question' => 'squeezing', 'school' => 'a', 'note' => 'Soft sponge only'],
                ],
            ],
        );
        $choice = $this->approaches($case)->choice(Question::Squeezing, Side::Right);

        self::assertSame(School::A, $choice->school);
        self::assertSame(School::B, $choice->default);
        self::assertTrue($choice->isOwn());
        self::assertNull(
            $this->approaches($case)->refuses(Cases::catalogue()->rung('soft-squeeze'), Side::Right),
        );
    }

    public function testWhatASchoolSwitchesOffIsInNoRoutineAndTheReasonIsSaid(): void
    {
        foreach (['tight-hand', 'cupped-hands', 'fingers-together'] as $name) {
            foreach ([School::A, School::B] as $school) {
                $case = Cases::changed(
                    $name,
                    [
                        'approaches' => [
                            [
                                'question' => 'squeezing',
                                'school' => $school->value,
                                'note' => 'tried',
                            ],
                        ],
                    ],
                );
                $items = $this->routine($case);
                if (School::B === $school) {
                    self::assertSame(
                        [],
                        array_filter(
                            $items,
                            static fn (Item $i): bool => \in_array(
                                ApproachTag::Squeezing,
                                $i->rung->sitting->tags,
                                true,
                            ),
                        ),
                        $name,
                    );
                }
            }
        }
    }

    public function testAChoiceNeverLiftsABlock(): void
    {
        $plain = Cases::example('tight-hand');
        $all = array_map(
            static fn (Question $q): array => [
                'question' => $q->value,
                'school' => 'a',
                'note' => 'x',
            ],
            Question::cases(),
        );
        $chosen = Cases::changed('tight-hand', ['approaches' => $all]);
        $offered = static function (CaseFile $case): array {
            $ids = [];
            foreach (
                (
                    new Placer(Cases::catalogue())
                )->place($case->facts, $case->today)->ladders as $placed
            ) {
                foreach ($placed->offered() as $rung) {
                    $ids[] = $placed->ladder->key.$placed->side->value.$rung->id;
                }
            }

            return $ids;
        };

        self::assertSame($offered($plain), $offered($chosen), 'placement does not ask for schools');
    }

    public function testTheOrderOfTheTightHandOpeningFollowsTheFistQuestion(): void
    {
        $order = fn (string $school): array => array_values(
            array_intersect(
                array_map(
                    static fn (Item $i): string => $i->rung->id,
                    $this->routine(
                        Cases::changed(
                            'tight-hand',
                            [
                                'approaches' => [
                                    ['question' => 'fist', 'school' => $school, 'note' => 'tried'],
                                ],
                            ],
                        ),
                    ),
                ),
                ['thumb-lift-away-stretch', 'finger-space-opener'],
            ),
        );
        $thumbFirst = $order('a');

        self::assertSame(['thumb-lift-away-stretch', 'finger-space-opener'], $thumbFirst);
        self::assertSame(array_reverse($thumbFirst), $order('b'));
    }

    public function testEveryQuestionSpeaksForBothSchools(): void
    {
        foreach (Question::cases() as $question) {
            $words = static fn (string $part): string => Said::wording()->word(
                'approach.'.$question->value.'.'.$part,
            );
            self::assertStringEndsWith('?', $words('asks'));
            self::assertNotSame($words(School::A->value), $words(School::B->value));
            self::assertStringEndsWith('.', $words('effect'));
        }
        self::assertCount(9, $this->approaches(Cases::example('tight-hand'))->all());
    }

    public function testTrickMovementsAreSpokenOfOnFirstRungsOnly(): void
    {
        $case = Cases::changed(
            'tight-hand',
            [
                'approaches' => [
                    ['question' => 'tricks', 'school' => 'b', 'note' => 'she relearns them too fast'],
                ],
            ],
        );
        $said = 0;
        foreach ($this->routine($case) as $item) {
            $first = Cases::catalogue()->ladderOf($item->rung->id)->fittingRungs(
                $case->facts->people->conditions,
            )[0] === $item->rung;
            $said += str_contains(Said::of($item->reason), 'No trick movements') ? 1 : 0;
            self::assertTrue(
                $first || !str_contains(Said::of($item->reason), 'trick movement'),
                $item->rung->id,
            );
        }
        self::assertGreaterThan(0, $said);
    }

    private function approaches(CaseFile $case): Approaches
    {
        return new Approaches(
            $case->facts,
            new KnownFacts($case->facts, Cases::catalogue()->vocabulary, $case->today),
        );
    }

    /** @return list<Item> */
    private function routine(CaseFile $case): array
    {
        $placements = (new Placer(Cases::catalogue()))->place($case->facts, $case->today);

        return (new Builder(Cases::catalogue()))->build(
            new Brief(
                $placements,
                $case->facts,
                $case->goals,
                new Limits(45, 200.0, 20),
                today: $case->today,
            ),
        )->sequence->items;
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Measure;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Finding\Finding;
use HandGarden\Core\Measure\Finding\Findings;
use HandGarden\Core\Measure\Finding\State;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FindingsTest extends TestCase
{
    /**
     * @param list<array{string, ?string, ?string, float|bool}> $known code, mode, argument, value
     */
    #[DataProvider('hands')]
    public function testEachFindingFromItsNumbers(
        array $known,
        string $key,
        State $state,
        string $because = '',
    ): void {
        $finding = self::find($known, $key);
        $said = implode('; ', array_map(Said::of(...), $finding->because));
        self::assertSame($state, $finding->state, $said);
        self::assertStringContainsString($because, $said);
        if (State::CannotTell === $state) {
            self::assertNotSame([], $finding->needs, 'says what to measure');
        } else {
            self::assertSame(
                '',
                State::Found === $state && null === $finding->meaning ? 'no meaning' : '',
            );
        }
    }

    /**
     * @return iterable<
     *     string,
     *     array{0: list<array{string, ?string, ?string, float|bool}>, 1: string, 2: State, 3?: string}
     * >
     */
    public static function hands(): iterable
    {
        yield 'a bent wrist frees the fingers' => [
            self::curve('passive', [0 => 40.0, -30 => 60.0]),
            'long-flexors',
            State::Found,
            '60 % with the wrist at -30° and 40 % at 0°: +20 points',
        ];
        yield 'just under the gain' => [
            self::curve('passive', [0 => 41.0, -30 => 60.0]),
            'long-flexors',
            State::NotFound,
        ];
        yield 'the best of two bent angles counts' => [
            self::curve('passive', [0 => 40.0, -30 => 50.0, -60 => 65.0]),
            'long-flexors',
            State::Found,
            '+25 points',
        ];
        yield 'wrist that does not reach straight' => [
            self::curve('passive', [-30 => 30.0, -60 => 60.0]),
            'long-flexors',
            State::Found,
            'at -30°',
        ];
        yield 'one angle is not enough' => [
            self::curve('passive', [0 => 40.0]),
            'long-flexors',
            State::CannotTell,
        ];
        yield 'only the bent angle' => [
            self::curve('passive', [-60 => 40.0]),
            'long-flexors',
            State::CannotTell,
        ];

        yield 'own opening gains, moved opening does not' => [
            [
                ...self::curve('active', [0 => 10.0, -30 => 40.0]),
                ...self::curve('passive', [0 => 80.0, -30 => 90.0]),
            ],
            'extensors-use-wrist',
            State::Found,
        ];
        yield 'both gain: tightness answers' => [
            [
                ...self::curve('active', [0 => 10.0, -30 => 40.0]),
                ...self::curve('passive', [0 => 40.0, -30 => 80.0]),
            ],
            'extensors-use-wrist',
            State::NotFound,
        ];
        yield 'own opening gains, moved not measured' => [
            self::curve('active', [0 => 10.0, -30 => 40.0]),
            'extensors-use-wrist',
            State::CannotTell,
        ];
        yield 'no gain at all needs nothing more' => [
            self::curve('active', [0 => 30.0, -30 => 40.0]),
            'extensors-use-wrist',
            State::NotFound,
        ];

        $stiff = [
            ...self::curve('passive', [0 => 30.0, -30 => 40.0]),
            ['slow_angle', null, 'finger', 60.0],
            ['catch_angle', null, 'finger', 55.0],
        ];
        yield 'stiff everywhere, no spread, hard end' => [
            [...$stiff, ['hard_end', null, 'fingers', true]],
            'contracture',
            State::Found,
            'slow less quick angle 5°',
        ];
        yield 'the end gives' => [
            [...$stiff, ['hard_end', null, 'fingers', false]],
            'contracture',
            State::NotFound,
        ];
        yield 'the end was not felt' => [$stiff, 'contracture', State::CannotTell];
        yield 'opens well at one angle' => [
            self::curve('passive', [0 => 30.0, -60 => 70.0]),
            'contracture',
            State::NotFound,
        ];
        yield 'a wide spread speaks of tone' => [
            [['slow_angle', null, 'finger', 90.0], ['catch_angle', null, 'finger', 60.0]],
            'contracture',
            State::NotFound,
        ];
        yield 'nothing known' => [[], 'contracture', State::CannotTell];

        yield 'free but not opened' => [
            [['opening', 'passive', null, 80.0], ['opening', 'active', null, 30.0]],
            'weak-extensors',
            State::Found,
            'opens by itself 30 %',
        ];
        yield 'free and opened' => [
            [['opening', 'passive', null, 80.0], ['opening', 'active', null, 70.0]],
            'weak-extensors',
            State::NotFound,
        ];
        yield 'not free: something else first' => [
            [['opening', 'passive', null, 60.0], ['opening', 'active', null, 10.0]],
            'weak-extensors',
            State::NotFound,
        ];
        yield 'a large lag is enough' => [
            [
                ['opening', 'passive', null, 80.0],
                ['index_pip_extension', 'active', null, 45.0],
                ['index_pip_extension', 'passive', null, 5.0],
            ],
            'weak-extensors',
            State::Found,
            'mean lag 40°',
        ];
        yield 'passive not measured' => [
            [['opening', 'active', null, 10.0]],
            'weak-extensors',
            State::CannotTell,
        ];

        yield 'PIP held back by a straight knuckle' => [
            [['pip_mcp_straight', null, 'middle', 70.0], ['pip_mcp_bent', null, 'middle', 85.0]],
            'intrinsics',
            State::Found,
            'middle PIP bends 70°',
        ];
        yield 'one finger free says nothing of the others' => [
            [['pip_mcp_straight', null, 'middle', 80.0], ['pip_mcp_bent', null, 'middle', 85.0]],
            'intrinsics',
            State::CannotTell,
        ];

        yield 'thumb held by the fingers' => [
            [['thumb_trapped', null, null, true]],
            'thumb',
            State::Found,
            'hold the thumb',
        ];
        yield 'thumb in the palm' => [
            [['thumb_out', null, null, false], ['thumb_trapped', null, null, false]],
            'thumb',
            State::Found,
        ];
        yield 'thumb outside' => [[['thumb_out', null, null, true]], 'thumb', State::NotFound];
        yield 'curls' => [[['curls', null, null, true]], 'curls', State::Found];
        yield 'does not curl' => [[['curls', null, null, false]], 'curls', State::NotFound];

        yield 'wide spread: tone' => [
            [['slow_angle', null, 'wrist', 90.0], ['catch_angle', null, 'wrist', 70.0]],
            'tone-wrist',
            State::Found,
            'spread 20°',
        ];
        yield 'small spread, limit unknown' => [
            [['slow_angle', null, 'wrist', 90.0], ['catch_angle', null, 'wrist', 85.0]],
            'tone-wrist',
            State::CannotTell,
        ];
        yield 'small spread, hard end' => [
            [
                ['slow_angle', null, 'wrist', 90.0],
                ['catch_angle', null, 'wrist', 85.0],
                ['hard_end', null, 'wrist', true],
            ],
            'tone-wrist',
            State::Found,
        ];
        yield 'small spread, as far as the other' => [
            [
                ['slow_angle', null, 'wrist', 90.0],
                ['catch_angle', null, 'wrist', 85.0],
                ['slow_angle', 'left', 'wrist', 95.0],
            ],
            'tone-wrist',
            State::NotFound,
        ];
        yield 'middle spread, less than the other' => [
            [
                ['slow_angle', null, 'wrist', 90.0],
                ['catch_angle', null, 'wrist', 75.0],
                ['slow_angle', 'left', 'wrist', 120.0],
            ],
            'tone-wrist',
            State::Found,
        ];
        yield 'a grade alone' => [
            [['tone_elbow', null, null, 2.0]],
            'tone-elbow',
            State::CannotTell,
            'grade 2',
        ];
    }

    public function testAGroupWithoutToneAndWithoutAnglesIsNotAskedAbout(): void
    {
        $keys = array_map(
            static fn (Finding $f): string => $f->key,
            (new Findings())->for(self::readings([['tone_elbow', null, null, 0.0]]), Side::Right),
        );
        self::assertNotContains('tone-elbow', $keys);
    }

    public function testFoundComesFirstThenWhatCannotBeTold(): void
    {
        $states = array_map(
            static fn (Finding $f): string => $f->state->value,
            (new Findings())->for(
                self::readings([['curls', null, null, true], ['thumb_out', null, null, true]]),
                Side::Right,
            ),
        );
        $order = array_values(array_unique($states));
        self::assertSame(['found', 'cannot tell yet', 'not found'], $order);
    }

    public function testWordsOfTheSpreadFollowTheNumbers(): void
    {
        foreach (
            [
                5 => 'contracture likely',
                10 => 'mixed',
                19 => 'mixed',
                20 => 'tone dominates',
                40 => 'tone dominates',
            ] as $spread => $words
        ) {
            $finding = self::find(
                [
                    ['slow_angle', null, 'wrist', 90.0],
                    ['catch_angle', null, 'wrist', 90.0 - (float) $spread],
                    ['hard_end', null, 'wrist', true],
                ],
                'tone-wrist',
            );
            self::assertStringContainsString($words, Said::of($finding->title), "spread $spread");
        }
    }

    /**
     * @param array<int, float> $percentByAngle
     *
     * @return list<array{string, string, string, float}>
     */
    private static function curve(string $mode, array $percentByAngle): array
    {
        $known = [];
        foreach ($percentByAngle as $angle => $percent) {
            $known[] = ['opening', $mode, (string) $angle, $percent];
        }

        return $known;
    }

    /** @param list<array{string, ?string, ?string, float|bool}> $known */
    private static function find(array $known, string $key): Finding
    {
        foreach ((new Findings())->for(self::readings($known), Side::Right) as $finding) {
            if ($finding->key === $key) {
                return $finding;
            }
        }
        self::fail($key.' was not answered');
    }

    /** @param list<array{string, ?string, ?string, float|bool}> $known */
    private static function readings(array $known): Readings
    {
        return new Readings(
            array_map(
                static fn (array $k): Reading => new Reading(
                    $k[0],
                    'left' === $k[1] ? Side::Left : Side::Right,
                    Mode::tryFrom($k[1] ?? ''),
                    $k[2],
                    value: $k[3],
                    on: new \DateTimeImmutable('2026-11-20'),
                ),
                $known,
            ),
        );
    }
}

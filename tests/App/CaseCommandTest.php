<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Console\Tester\CommandTester;

final class CaseCommandTest extends KernelTestCase
{
    public function testTheExamplesArePlacedBuiltAndReadWithoutADatabase(): void
    {
        foreach (['tight-hand', 'cupped-hands', 'fingers-together', 'tight-hand-with-log'] as $name) {
            foreach (
                [
                    'place' => 'placements',
                    'build' => 'items',
                    'propose' => 'proposals',
                ] as $command => $key
            ) {
                $tester = $this->answer($command, Cases::root().'/docs/examples/'.$name.'.json');
                self::assertSame(0, $tester->getStatusCode(), $tester->getDisplay());
                self::assertArrayHasKey(
                    $key,
                    (array) json_decode($tester->getDisplay(), true, 64, \JSON_THROW_ON_ERROR),
                );
            }
        }
    }

    /** @return iterable<string, array{string, string, float}> file, figure, value */
    public static function recordings(): iterable
    {
        yield 'spiral' => ['spiral', 'rms_mm', 0.85];
        yield 'letters' => ['letters', 'height_trend_percent', 32.4];
        yield 'tapping' => ['tapping', 'taps', 35.0];
        yield 'trace' => ['trace', 'peak_hz', 4.8];
        yield 'steadying' => ['steadying', 'near_hz', 5.0];
    }

    #[DataProvider('recordings')]
    public function testARecordingIsReplayedFromItsFile(
        string $name,
        string $figure,
        float $value,
    ): void {
        $tester = $this->answer('analyse', Cases::root().'/docs/examples/'.$name.'.json');
        self::assertSame(0, $tester->getStatusCode(), $tester->getDisplay());
        $found = (array) json_decode($tester->getDisplay(), true, 16, \JSON_THROW_ON_ERROR);
        self::assertEqualsWithDelta($value, $found[$figure], 0.05);
    }

    public function testTheSameCaseGivesTheSameAnswer(): void
    {
        $file = Cases::root().'/docs/examples/tight-hand-with-log.json';
        foreach (['place', 'build', 'propose'] as $command) {
            self::assertSame(
                $this->answer($command, $file)->getDisplay(),
                $this->answer($command, $file)->getDisplay(),
            );
        }
    }

    public function testAPainfulRiseIsEasedAndOnlyWhatLeavesThatPartAloneGrows(): void
    {
        /** @var array{proposals: list<array{rule: string, rung: string, evidence: list<string>}>} $answer */
        $answer = json_decode(
            $this->answer(
                'propose',
                Cases::root().'/docs/examples/tight-hand-with-log.json',
            )->getDisplay(),
            true,
            64,
            \JSON_THROW_ON_ERROR,
        );

        self::assertSame(
            [
                'ease.pain close-and-open',
                'advance.hold-count helped-lift-hold',
            ],
            array_map(
                static fn (array $p): string => $p['rule'].' '.$p['rung'],
                $answer['proposals'],
            ),
        );
        self::assertNotSame([], $answer['proposals'][0]['evidence']);
    }

    /** @return iterable<string, array{string, string}> */
    public static function broken(): iterable
    {
        $case = static fn (string $more): string => '{"today": "2026-11-20", "client": {"conditions": ["stroke"], '
            .'"affected": ["right"]}'
                .$more
                .'}';
        yield 'no JSON' => ['{"today": ', 'not JSON'];
        yield 'no day' => [
            '{"client": {"conditions": ["stroke"], "affected": ["right"]}}',
            'today: is missing',
        ];
        yield 'no such day' => [
            '{"today": "2026-02-30", "client": {}}',
            'today: "2026-02-30" is not a day',
        ];
        yield 'no such condition' => [
            '{"today": "2026-11-20", "client": {"conditions": ["strok"], "affected": ["right"]}}',
            'client.conditions[0]: "strok" is not one of stroke',
        ];
        yield 'a degree that no joint has' => [
            $case(
                ', "measures": [{"code": "index_mcp_flexion", "side": "right", "mode": "active", "degrees": 400}]',
            ),
            'measures[0].degrees: 400 is outside -45..130',
        ];
        yield 'a measure that is none' => [
            $case(', "measures": [{"code": "nose_length", "side": "right", "degrees": 4}]'),
            'measures[0].code: "nose_length" is not a measure',
        ];
        yield 'an unknown part' => [
            $case(
                ', "observations": [{"code": "painful", "part": "knee", "side": "right", "answer": "no"}]',
            ),
            'observations[0].part: expected one of wrist',
        ];
        yield 'an unknown rung in the log' => [
            $case(
                ', "log": [{"id": "a", "sitting": "s", "rung": "fly", "hands": "right", "on": "2026-11-19", '
                    .'"outcome": "done"}]',
            ),
            'log[0].rung: "fly" is not in the catalogue',
        ];
        yield 'pain of 11' => [
            $case(
                ', "log": [{"id": "a", "sitting": "s", "rung": "open-attempt", "hands": "right", "on": "2026-11-19", '
                    .'"outcome": "done", "pain_after": 11}]',
            ),
            'log[0].pain_after: 11 is outside 0..10',
        ];
        yield 'a key nobody knows' => [$case(', "mesures": []'), 'mesures'];
        yield 'tomorrow' => [
            $case(
                ', "observations": [{"code": "curls", "side": "right", "answer": "no", "on": "2026-11-21"}]',
            ),
            'observations[0].on: lies after today',
        ];
    }

    #[DataProvider('broken')]
    public function testABrokenCaseExitsWith2AndNamesThePath(string $json, string $message): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'case');
        file_put_contents($file, $json);
        $tester = $this->answer('place', $file);
        unlink($file);

        self::assertSame(2, $tester->getStatusCode());
        self::assertStringContainsString($message, $tester->getDisplay());
    }

    private function answer(string $command, string $file): CommandTester
    {
        $tester = new CommandTester((new Application(self::bootKernel()))->find('garden:'.$command));
        $tester->execute(['file' => $file], ['capture_stderr_separately' => false]);

        return $tester;
    }
}

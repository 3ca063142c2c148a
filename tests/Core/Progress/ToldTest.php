<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Progress;

use HandGarden\Content\Format\LogFormat;
use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\Felt;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

/** What is told of an exercise, in a case file, in the log and as it is kept. */
final class ToldTest extends TestCase
{
    private const EVERYTHING = [
        'outcome' => 'part',
        'repetitions' => 4,
        'pain_before' => 1,
        'pain_after' => 2,
        'tone' => 'same',
        'help' => 'some',
        'compensations' => ['shoulder-hike', 'quick-jerk'],
        'fatigue' => 3,
        'errors' => 2,
        'drops' => 1,
        'felt' => 'too-hard',
        'load' => 0.25,
        'levels' => ['firmness' => 'soft'],
    ];

    public function testACaseFileTellsAllThatALogTells(): void
    {
        $case = Cases::changed('tight-hand-with-log', ['log' => [[
            'id' => '00000000-0000-7000-8000-000000000001',
            'sitting' => 's1',
            'rung' => 'soft-squeeze',
            'hands' => 'right',
            'on' => '2026-11-16',
            'dose' => ['levels' => ['firmness' => 'medium']],
        ] + self::EVERYTHING]]);
        $line = $case->log->lines[0];

        self::assertSame([Compensation::ShoulderHike, Compensation::QuickJerk], $line->compensations);
        self::assertSame([2, Felt::TooHard], [$line->errors, $line->felt]);
        self::assertSame(
            [0.25, 'soft'],
            [$line->dose->loadKilograms, $line->dose->levels->at(Challenge::Firmness)],
            'as it was really done',
        );
    }

    public function testWhatIsKeptSaysTheSame(): void
    {
        $told = LogFormat::told(Node::root(self::EVERYTHING));
        /** @var array<string, mixed> $kept */
        $kept = json_decode((string) json_encode(LogFormat::write($told)), true);

        self::assertEquals($told, LogFormat::kept($kept));
    }

    public function testALaterWordOnTheSameItemKeepsTheHarderOne(): void
    {
        $earlier = LogFormat::told(Node::root(self::EVERYTHING));
        $later = LogFormat::told(Node::root(['outcome' => 'done', 'felt' => 'right', 'errors' => 0]));

        self::assertSame([Felt::TooHard, 0, 1], [
            $later->after($earlier)->felt,
            $later->after($earlier)->errors,
            $later->after($earlier)->drops,
        ]);
    }

    public function testALevelThatIsNoneIsRefusedWithItsPlace(): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('levels.firmness');
        LogFormat::told(Node::root(['outcome' => 'done', 'levels' => ['firmness' => 'rock']]));
    }
}

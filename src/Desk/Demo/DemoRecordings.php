<?php

declare(strict_types=1);

namespace HandGarden\Desk\Demo;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Assessment\RecordedFigures;
use HandGarden\Assessment\RecordedReading;
use HandGarden\Assessment\Recording;
use HandGarden\Assessment\RecordingKind;
use HandGarden\Assessment\Visit;
use HandGarden\Client\Client;
use HandGarden\Content\Format\InkFormat;
use HandGarden\Content\Format\TraceFormat;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Measure\Source;
use HandGarden\Core\Measure\Steadiness\Steadiness;
use HandGarden\Core\Measure\Taken;

/** Made-up drawings and traces of a hand that shakes, in the formats in which real ones are kept. */
final readonly class DemoRecordings
{
    private const PIXELS_PER_MM = 4.0;

    public function __construct(
        private EntityManagerInterface $entities,
        private RecordedFigures $figures,
    ) {
    }

    public function make(
        Client $client,
        string $staffId,
        \DateTimeImmutable $today,
        \DateTimeImmutable $now,
    ): void {
        foreach ([49 => 1.9, 5 => 0.9] as $daysAgo => $shakeMm) {
            $day = $today->modify("-$daysAgo days");
            $at = $now->modify("-$daysAgo days");
            $this->ink(
                $client,
                InkTask::Spiral,
                self::spiral($shakeMm),
                $staffId,
                day: $day,
                at: $at,
            );
            $this->ink(
                $client,
                InkTask::Pattern,
                self::letters(49 === $daysAgo ? 0.45 : 0.2),
                $staffId,
                day: $day,
                at: $at,
            );
            $this->ink(
                $client,
                InkTask::Tapping,
                self::taps(49 === $daysAgo ? 0.42 : 0.36),
                $staffId,
                day: $day,
                at: $at,
            );
            $this->trace($client, self::shaking($shakeMm), $staffId, $day, at: $at);
        }
    }

    /** @return array<string, mixed> 22 s round three turns, shaking 4.8 times a second */
    public static function spiral(float $shakeMm): array
    {
        $guide = [
            'kind' => 'spiral',
            'cx' => 320,
            'cy' => 190,
            'start_radius' => 8,
            'pitch' => 52,
            'turns' => 3,
        ];
        $stroke = [];
        for ($i = 0; $i <= 22 * 80; ++$i) {
            $seconds = $i / 80.0;
            $turn = 3.0 * $seconds / 22.0;
            $radius = 8.0 + 52.0 * $turn + self::PIXELS_PER_MM * (
                $shakeMm * sin(2.0 * \M_PI * 4.8 * $seconds) + 0.8 * sin(1.7 * $seconds)
            );
            $stroke[] = [
                round(1000.0 * $seconds, 1),
                round(320.0 + $radius * cos(2.0 * \M_PI * $turn), 1),
                round(190.0 + $radius * sin(2.0 * \M_PI * $turn), 1),
            ];
        }

        return self::sheet(InkTask::Spiral, $guide, [$stroke]);
    }

    /** @return array<string, mixed> twelve joined letters that shrink by a share */
    public static function letters(float $shrinks): array
    {
        $stroke = [];
        for ($i = 0; $i <= 12 * 60; ++$i) {
            $along = $i / 720.0;
            $height = 52.0 * (1.0 - $shrinks * $along);
            $phase = 24.0 * \M_PI * $along;
            $stroke[] = [
                round(16.0 * $i, 1),
                round(40.0 + 520.0 * $along + 10.0 * sin($phase), 1),
                round(220.0 - $height * (0.5 - 0.5 * cos($phase)), 1),
            ];
        }

        return self::sheet(InkTask::Pattern, null, [$stroke]);
    }

    /** @return array<string, mixed> */
    public static function taps(float $seconds): array
    {
        $strokes = [];
        for ($at = 0.0, $i = 0; $at < 15.0; ++$i, $at += $seconds * (1.0 + 0.012 * $i)) {
            $strokes[] = [
                [round(1000.0 * $at), 0 === $i % 2 ? 140 + $i % 5 : 500 - $i % 7, 190 + $i % 4],
            ];
        }

        return self::sheet(
            InkTask::Tapping,
            ['centres' => [[140, 190], [500, 190]], 'radius' => 48],
            $strokes,
        );
    }

    /** @return array<string, mixed> arms held out for 30 s */
    public static function shaking(float $shakeMm): array
    {
        $samples = [];
        $peak = $shakeMm / 1000.0 * (2.0 * \M_PI * 4.8) ** 2;
        for ($i = 0; $i < 3000; ++$i) {
            $seconds = $i / 100.0;
            $shake = $peak * sin(2.0 * \M_PI * 4.8 * $seconds) * (1.0 + 0.2 * sin(0.9 * $seconds));
            $samples[] = [
                10 * $i,
                round(0.9 * $shake, 3),
                round(0.4 * $shake + 0.1 * sin(2.1 * $seconds), 3),
                round(9.81 + 0.2 * $shake, 3),
            ];
        }

        return [
            'format' => TraceFormat::TRACE,
            'version' => 1,
            'side' => Side::Right->value,
            'action' => 'posture',
            'rate_hz' => 100,
            'samples' => $samples,
        ];
    }

    /**
     * @param array<string, mixed>|null    $guide
     * @param list<list<list<float|int>>> $strokes
     *
     * @return array<string, mixed>
     */
    private static function sheet(InkTask $task, ?array $guide, array $strokes): array
    {
        return [
            'format' => InkFormat::INK,
            'version' => 1,
            'task' => $task->value,
            'side' => Side::Right->value,
            'pointer' => 'pen',
            ...(null === $guide ? [] : ['guide' => $guide]),
            'pixels_per_mm' => self::PIXELS_PER_MM,
            'strokes' => $strokes,
        ];
    }

    /** @param array<string, mixed> $raw */
    private function ink(
        Client $client,
        InkTask $task,
        array $raw,
        string $staffId,
        \DateTimeImmutable $day,
        \DateTimeImmutable $at,
    ): void {
        $node = Node::root($raw);
        $found = InkFormat::analysis($task, InkFormat::sheet($node), $node->optional('guide'));
        $this->keep(
            $client,
            new Recording(
                $client->clinicId,
                $client->id,
                RecordingKind::Ink,
                $task->value,
                side: Side::Right,
                raw: json_encode($raw, \JSON_THROW_ON_ERROR),
                found: $found,
                series: '',
                onDay: $day,
                at: $at,
                byStaffId: $staffId,
            ),
            $this->figures->ofInk(
                $task,
                $found,
                Side::Right,
                $day,
                taken: new Taken($staffId, source: Source::Screen),
            ),
        );
    }

    /** @param array<string, mixed> $raw */
    private function trace(
        Client $client,
        array $raw,
        string $staffId,
        \DateTimeImmutable $day,
        \DateTimeImmutable $at,
    ): void {
        $found = TraceFormat::steadiness(Steadiness::from(TraceFormat::trace(Node::root($raw))));
        $this->keep(
            $client,
            new Recording(
                $client->clinicId,
                $client->id,
                RecordingKind::Trace,
                'posture',
                side: Side::Right,
                raw: json_encode($raw, \JSON_THROW_ON_ERROR),
                found: $found,
                series: '',
                onDay: $day,
                at: $at,
                byStaffId: $staffId,
            ),
            $this->figures->ofTrace(
                'posture',
                $found,
                Side::Right,
                $day,
                taken: new Taken($staffId, source: Source::MotionSensor),
            ),
        );
    }

    /** @param list<\HandGarden\Core\Measure\Reading> $readings */
    private function keep(Client $client, Recording $recording, array $readings): void
    {
        $this->entities->persist($recording);
        $visit = [] === $readings
            ? null
            : new Visit(
                $client->clinicId,
                $client->id,
                $recording->onDay,
                $recording->byStaffId,
                at: $recording->at,
            );
        if (null !== $visit) {
            $this->entities->persist($visit);
            foreach ($readings as $reading) {
                $this->entities->persist(
                    RecordedReading::from($reading, $visit, $recording->byStaffId, $recording->at),
                );
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Assessment;

use HandGarden\Content\Format\InkFormat;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Ink\InkPoint;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The guide that the browser draws is the one the core measures against. */
final class GuideTest extends TestCase
{
    /** @return iterable<string, array{string, int, int, string}> task, width and height of the sheet, scale */
    public static function sheets(): iterable
    {
        foreach (['spiral', 'line'] as $task) {
            yield "$task on a desk" => [$task, 1238, 408, '4.2'];
            yield "$task on a phone" => [$task, 350, 408, 'null'];
        }
    }

    #[DataProvider('sheets')]
    public function testWhatIsDrawnAlongTheGuideIsOnIt(
        string $task,
        int $width,
        int $height,
        string $scale,
    ): void {
        $script = \sprintf(
            'import { guideOf, outlineOf } from %s; const g = guideOf(%s, %d, %d, %s); console.log(JSON.stringify({ '
                .'guide: g, points: outlineOf(g)[0].points }));',
            json_encode('file://'.Cases::root().'/assets/scripts/core/guides.js'),
            json_encode($task),
            $width,
            $height,
            $scale,
        );
        $node = new Process(['node', '--input-type=module', '-e', $script]);
        $node->mustRun();
        $said = Node::fromJson($node->getOutput());
        /** @var list<array{float, float}> $points */
        $points = $said->get('points')->rows(2, 2, 1000);
        $guide = InkFormat::guide($said->get('guide'));

        $distances = $guide->distances(
            array_map(
                static fn (array $p, int $i): InkPoint => new InkPoint(10.0 * $i, $p[0], $p[1]),
                $points,
                array_keys($points),
            ),
        );
        self::assertLessThan(0.5, max([0.0, ...array_map(abs(...), $distances)]));
        foreach ($points as [$x, $y]) {
            self::assertTrue(
                $x > 0 && $x < $width && $y > 0 && $y < $height,
                'the whole guide lies on the sheet',
            );
        }
    }
}

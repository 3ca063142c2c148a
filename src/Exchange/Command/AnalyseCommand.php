<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Command;

use HandGarden\Content\Format\InkFormat;
use HandGarden\Content\Format\TraceFormat;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Measure\Steadiness\Steadiness;
use HandGarden\Core\Measure\Steadiness\SteadyingTrial;
use Symfony\Component\Console\Attribute\AsCommand;

/** Replays a recording from a file: the same analysis as on the page. */
#[AsCommand('garden:analyse', 'Analyses a recorded trace, a steadying trial or a drawing.')]
final class AnalyseCommand extends FileCommand
{
    protected function answer(string $json): array
    {
        $node = Node::fromJson($json);
        $format = $node->get('format');
        $node->get('version')->int(1, 1);

        return ['format' => $format->string()] + match ($format->string()) {
            TraceFormat::TRACE => TraceFormat::steadiness(
                Steadiness::from(
                    TraceFormat::trace(
                        $node->only(
                            'format',
                            'version',
                            'side',
                            'action',
                            'set_up',
                            'rate_hz',
                            'samples',
                        ),
                    ),
                ),
            ),
            TraceFormat::STEADYING => TraceFormat::steadying(
                SteadyingTrial::ofTraces(
                    TraceFormat::trials($node->only('format', 'version', 'side', 'trials')),
                ),
            ),
            InkFormat::INK => InkFormat::analysis(
                $node
                    ->only(
                        'format',
                        'version',
                        'task',
                        'side',
                        'on',
                        'pointer',
                        'guide',
                        'pixels_per_mm',
                        'strokes',
                    )
                    ->get('task')
                    ->enum(InkTask::class),
                InkFormat::sheet($node),
                $node->optional('guide'),
            ),
            default => throw $format->fail(
                \sprintf(
                    '"%s" is not one of %s',
                    $format->string(),
                    implode(', ', [TraceFormat::TRACE, TraceFormat::STEADYING, InkFormat::INK]),
                ),
            ),
        };
    }
}

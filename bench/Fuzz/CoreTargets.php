<?php

declare(strict_types=1);

namespace HandGarden\Bench\Fuzz;

use HandGarden\Content\CatalogueReader;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\DrawingReader;
use HandGarden\Content\Format\DoseFormat;
use HandGarden\Content\Format\InkFormat;
use HandGarden\Content\Format\LogFormat;
use HandGarden\Content\Format\TraceFormat;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Condition\ConditionParser;
use HandGarden\Core\CoreError;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Device\Batch;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Core\Device\Seen;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Measure\Steadiness\Steadiness;
use HandGarden\Core\Measure\Steadiness\SteadyingTrial;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Core\Progress\Situation;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Week\HelperHours;
use HandGarden\Core\Words\PhraseFormat;
use HandGarden\Exchange\Case\CaseReader;
use HandGarden\Exchange\Case\SchemaCheck;

/** Everything in the core and the formats that is handed text or data from outside, with what is right for a start. */
final class CoreTargets
{
    private readonly Catalogue $catalogue;

    private readonly CaseReader $cases;

    /** @var array<string, array<array-key, mixed>> by file */
    private array $files = [];

    public function __construct(
        private readonly string $root,
        private readonly Chance $chance,
        private readonly Nasty $nasty,
    ) {
        $this->catalogue = (new CatalogueReader())->read(CatalogueStore::parse($root.'/catalogue'));
        $this->cases = new CaseReader(
            $this->catalogue,
            new SchemaCheck($root.'/docs/case.schema.json'),
        );
    }

    /** @return array<string, \Closure(): mixed> one call is one input */
    public function all(): array
    {
        return [
            'log line' => fn () => LogFormat::told($this->node($this->line())),
            'dose' => fn () => DoseFormat::read(
                $this->node(['sets' => 2, 'repetitions' => 5, 'hold' => 3]),
                Dose::once(),
            ),
            'phrase' => fn () => PhraseFormat::readAny(
                $this->node(['say' => 'day', 'with' => ['a' => ['by' => 'or', 'parts' => ['x']]]]),
            ),
            'pose' => fn () => DrawingReader::pose(
                $this->node(['index' => ['mcp' => 20, 'pip' => 40], 'wrist' => ['flexion' => 10]]),
            ),
            'helper hours' => fn () => HelperHours::parse(
                $this->text('Mon-Sat 8:00-12:00; Tue 16:00-18:00'),
            ),
            'condition' => fn () => (new ConditionParser($this->catalogue->vocabulary->codes()))->parse(
                $this->text('grip_kg >= 5 and not pain or holds(index)'),
            ),
            'item key' => fn () => ItemKey::fromText($this->text('helped-lift-hold|left')),
            'rung' => fn () => RungOnSide::fromText($this->text('helped-lift-hold|left')),
            'device frames' => $this->frames(...),
            'drawing' => fn () => $this->ink('spiral'),
            'tapping' => fn () => $this->ink('tapping'),
            'letters' => fn () => $this->ink('letters'),
            'trace' => fn () => Steadiness::from(TraceFormat::trace($this->node($this->file('trace', 30)))),
            'steadying' => fn () => SteadyingTrial::ofTraces(
                TraceFormat::trials($this->node($this->file('steadying', 30))),
            ),
            'JSON' => fn () => Node::fromJson($this->nasty->json($this->nasty->value()))->map(),
            'case' => $this->aCase(...),
        ];
    }

    /**
     * @param \Closure(): mixed $call
     *
     * @return ?string what went wrong; null: it was taken, or refused in words
     */
    public static function outcome(\Closure $call): ?string
    {
        set_error_handler(static function (int $level, string $message, string $file, int $line): bool {
            throw new \ErrorException($message, 0, $level, $file, line: $line);
        });
        try {
            $call();
        } catch (CoreError) {
            return null;
        } catch (\Throwable $e) {
            return \sprintf(
                '%s: %s (%s:%d)',
                $e::class,
                $e->getMessage(),
                basename($e->getFile()),
                $e->getLine(),
            );
        } finally {
            restore_error_handler();
        }

        return null;
    }

    /** @param array<array-key, mixed> $right */
    private function node(array $right): Node
    {
        for ($times = 1 + $this->chance->below(3); $times > 0; --$times) {
            $right = $this->nasty->spoiled($right);
        }

        return $this->chance->oneIn(50) ? Node::root($this->nasty->value()) : Node::root($right);
    }

    private function text(string $right): string
    {
        if ($this->chance->oneIn(3)) {
            return $this->nasty->text();
        }
        $at = $this->chance->below(\strlen($right));

        return substr($right, 0, $at).$this->nasty->text().substr(
            $right,
            $at + $this->chance->below(3),
        );
    }

    /** @return array<string, mixed> */
    private function line(): array
    {
        return [
            'outcome' => 'done', 'repetitions' => 5, 'hold' => 3, 'pain_before' => 1, 'pain_after' => 2,
            'tone' => 'same', 'help' => 'none', 'compensations' => [], 'fatigue' => 2, 'new_tingling' => false,
            'systemic' => false, 'note' => 'x',
        ];
    }

    private function frames(): Batch
    {
        $kind = $this->chance->of(DeviceKind::cases());
        $lines = [json_encode(
            ['hello' => $kind->value, 'run' => 'r1', 'rate_hz' => 50],
            \JSON_THROW_ON_ERROR,
        )];
        for ($frame = 0; $frame < 4; ++$frame) {
            $lines[] = $this->nasty->json($this->nasty->spoiled(
                ['seq' => $frame, 't' => $frame * 20, 'v' => [1, 2, 3, 4, 5, 6, 7, 8, 9, 10]],
            ));
        }
        if ($this->chance->oneIn(5)) {
            $lines[0] = $this->nasty->json($this->nasty->value());
        }

        return Batch::read($kind, implode("\n", $lines), new Seen());
    }

    private function ink(string $file): mixed
    {
        $node = $this->node($this->file($file, 12));

        return InkFormat::analysis(
            $node->get('task')->enum(InkTask::class),
            InkFormat::sheet($node),
            $node->optional('guide'),
        );
    }

    private function aCase(): mixed
    {
        $files = ['tight-hand', 'tight-hand-with-log', 'cupped-hands', 'fingers-together'];
        $right = $this->file($this->chance->of($files), 1_000);
        for ($times = 1 + $this->chance->below(3); $times > 0; --$times) {
            $right = $this->nasty->spoiled($right);
        }
        $case = $this->cases->read($this->nasty->json($right));
        if ($this->chance->oneIn(10)) {
            return (new Proposer($this->catalogue))->propose(
                $case->routine,
                $case->log,
                new Situation(
                    $case->facts->people->conditions,
                    $case->daysPerWeek,
                    $case->today,
                ),
            );
        }
        $placed = (new Placer($this->catalogue))->place($case->facts, $case->today);

        return $this->chance->oneIn(20)
            ? (new Builder($this->catalogue))->build(
                $case->brief($placed),
            )
            : $placed;
    }

    /** @return array<array-key, mixed> an example, its long lists cut */
    private function file(string $name, int $most): array
    {
        if (!isset($this->files[$name])) {
            $read = json_decode(
                (string) file_get_contents($this->root.'/docs/examples/'.$name.'.json'),
                true,
            );
            $this->files[$name] = \is_array($read) ? self::cut($read, $most) : [];
        }

        return $this->files[$name];
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return array<array-key, mixed>
     */
    private static function cut(array $data, int $most): array
    {
        return array_map(
            static fn (mixed $part): mixed => \is_array($part) ? self::cut($part, $most) : $part,
            array_is_list($data) ? \array_slice($data, 0, $most) : $data,
        );
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Handbook;
use HandGarden\Core\Catalogue\HandShape;
use HandGarden\Core\Catalogue\HelperScript;
use HandGarden\Core\Catalogue\Material;
use HandGarden\Core\Catalogue\ReleaseProtocol;
use HandGarden\Core\Catalogue\ReleaseStep;
use HandGarden\Core\Catalogue\ReleaseTurn;
use HandGarden\Core\Catalogue\ScriptPart;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** Reads materials, hand shapes, rules, helper scripts and the hands-on release. */
final readonly class HandbookReader
{
    /**
     * @param array<string, mixed> $data decoded files by name
     *
     * @throws InvalidData naming file and path
     */
    public function read(array $data): Handbook
    {
        $file = static fn (string $name): Node => Node::root(
            $data[$name] ?? null,
            $name.'.yaml',
        );
        $shapes = $file('shapes')->only('shapes', 'number_code');
        $code = [];
        foreach ($shapes->get('number_code')->items() as $i => $call) {
            $code[$i + 1] = $call->string();
        }

        return new Handbook(
            $this->materials($file('materials')),
            $this->shapes($shapes->get('shapes')),
            $code,
            array_map(
                static fn (Node $rule): string => $rule->string(),
                $file('rules')->map(),
            ),
            scripts: array_map($this->script(...), $file('scripts')->items()),
            release: $this->release($file('release')),
            cautions: array_map(
                static fn (Node $caution): mixed => $caution->raw(),
                $file('cautions')->map(),
            ),
            stops: array_map(
                static fn (Node $line): string => $line->string(),
                $file('stops')->get('stops')->map(),
            ),
            bars: $file('bars')->get('bars')->raw(),
            techniques: TechniqueReader::read($file('techniques')),
        );
    }

    /** @return array<string, Material> */
    private function materials(Node $node): array
    {
        $materials = [];
        foreach ($node->map() as $key => $one) {
            $one->only('label', 'used_for', 'instead', 'small');
            $materials[$key] = new Material(
                $key,
                $one->get('label')->string(),
                $one->get('used_for')->string(),
                $one->get('instead')->strings(),
                isSmall: $one->optional('small')?->bool() ?? false,
            );
        }

        return $materials;
    }

    /** @return array<string, HandShape> */
    private function shapes(Node $node): array
    {
        $shapes = [];
        foreach ($node->map() as $key => $one) {
            $one->only('label', 'form', 'pose', 'may_be_switched_off');
            $shapes[$key] = new HandShape(
                $key,
                $one->get('label')->string(),
                $one->get('form')->string(),
                $one->get('pose')->string(),
                mayBeSwitchedOff: $one->optional('may_be_switched_off')?->bool() ?? false,
            );
        }

        return $shapes;
    }

    private function script(Node $node): HelperScript
    {
        $node->only('title', 'manner', 'kit', 'parts', 'other_lines');

        return new HelperScript(
            $node->get('title')->string(),
            $node->get('manner')->string(),
            $node->get('kit')->string(),
            array_map(static function (Node $part): ScriptPart {
                $part->only('title', 'rungs', 'words', 'notes');
                $rungs = $part->get('rungs')->strings();

                return new ScriptPart(
                    $part->get('title')->string(),
                    [] === $rungs ? throw $part->get('rungs')->fail(
                        'expected one exercise or more',
                    ) : $rungs,
                    $part->get('words')->string(),
                    $part->get('notes')->string(),
                );
            }, $node->get('parts')->items()),
            otherLines: $node->get('other_lines')->strings(),
        );
    }

    private function release(Node $node): ReleaseProtocol
    {
        $node->only('rules', 'steps', 'in_turn_with', 'ends_with');
        $steps = [];
        foreach ($node->get('steps')->items() as $i => $step) {
            $step->only(
                'number',
                'title',
                'rung',
                'hands',
                'movement',
                'tempo',
                'pressure',
                'look_for',
                'if_tone_rises',
                'gate',
                'if_tone_rises_to',
                'optional',
                'raises_arm',
                'turning',
            );
            if ($step->get('number')->int() !== $i + 1) {
                throw $step->get('number')->fail(
                    \sprintf('steps are numbered in order; expected %d', $i + 1),
                );
            }
            $text = static fn (string $key): string => $step->get($key)->string();
            $steps[] = new ReleaseStep(
                $i + 1,
                $text('title'),
                $text('rung'),
                $text('hands'),
                movement: $text('movement'),
                tempo: $text('tempo'),
                pressure: $text('pressure'),
                lookFor: $text('look_for'),
                ifToneRises: $text('if_tone_rises'),
                ifToneRisesGoTo: array_map(
                    static fn (Node $to): int => $to->int(1, $i),
                    $step->get('if_tone_rises_to')->items(),
                ),
                gate: $text('gate'),
                isOptional: $step->optional('optional')?->bool() ?? false,
                raisesArm: $step->optional('raises_arm')?->bool() ?? false,
                turning: array_map(
                    static function (Node $turn): ReleaseTurn {
                        $turn->only('words', 'seconds', 'pressure');

                        return new ReleaseTurn(
                            $turn->get('words')->string(),
                            $turn->get('seconds')->int(1, 60),
                            $turn->get('pressure')->float(0.0, 1.0),
                        );
                    },
                    $step->optional('turning')?->items() ?? [],
                ),
            );
        }

        return new ReleaseProtocol(
            $node->get('rules')->strings(),
            $steps,
            $node->get('in_turn_with')->string(),
            $node->get('ends_with')->string(),
        );
    }
}

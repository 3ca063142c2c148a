<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Catalogue\Condition as ClientCondition;
use HandGarden\Core\Catalogue\DailyTask;
use HandGarden\Core\Catalogue\FoldedPicture;
use HandGarden\Core\Catalogue\Handbook;
use HandGarden\Core\Catalogue\TaskPart;
use HandGarden\Core\Catalogue\TaskWith;
use HandGarden\Core\Condition\AllOf;
use HandGarden\Core\Condition\Condition;
use HandGarden\Core\Condition\ConditionParser;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** Reads the daily tasks and their parts. */
final readonly class TaskReader
{
    public function __construct(
        private ConditionParser $conditions,
        private Handbook $handbook,
    ) {
    }

    /**
     * @return array<string, DailyTask> by key
     *
     * @throws InvalidData naming the path
     */
    public function read(Node $node): array
    {
        $node->only('flags', 'tasks');
        $flags = array_map(
            fn (Node $flag): Condition => CatalogueReader::condition($this->conditions, $flag->get('when')),
            $node->get('flags')->map(),
        );
        $tasks = [];
        foreach ($node->get('tasks')->items() as $task) {
            $read = $this->task($task, $flags);
            $tasks[$read->key] = $read;
        }

        return $tasks;
    }

    /** @param array<string, Condition> $flags */
    private function task(Node $node, array $flags): DailyTask
    {
        $node->only(
            'key',
            'label',
            'fits',
            'hands',
            'role',
            'position',
            'works',
            'materials',
            'steps',
            'one_hand',
            'picture',
            'parts',
        );
        $parts = array_map(
            fn (Node $part): TaskPart => $this->part($part, $flags),
            $node->get('parts')->items(),
        );
        foreach ($node->get('materials')->items() as $material) {
            if (null === $this->handbook->material($material->string())) {
                throw $material->fail('no material of this name in materials.yaml');
            }
        }

        return new DailyTask(
            $node->get('key')->string(),
            $node->get('label')->string(),
            $node->get('fits')->enums(ClientCondition::class),
            $node->get('position')->string(),
            works: $node->get('works')->enums(ArmPart::class),
            materials: $node->get('materials')->strings(),
            steps: $node->get('steps')->strings(),
            oneHand: $node->optional('one_hand')?->string(),
            parts: [] === $parts ? throw $node->get('parts')->fail('a task has one part or more') : $parts,
            folded: new FoldedPicture(PictureReader::read($node->get('picture'))),
        );
    }

    /** @param array<string, Condition> $flags */
    private function part(Node $node, array $flags): TaskPart
    {
        $node->only('key', 'words', 'minutes', 'entry', 'watch', 'stop', 'flags', 'earned', 'with');
        $conditions = [CatalogueReader::condition($this->conditions, $node->get('entry'))];
        $named = $node->optional('flags')?->items() ?? [];
        foreach ($named as $flag) {
            $conditions[] = $flags[$flag->string()] ?? throw $flag->fail('no flag of this name');
        }

        return new TaskPart(
            $node->get('key')->string(),
            $node->get('words')->string(),
            $node->get('minutes')->int(1, 10),
            1 === \count($conditions) ? $conditions[0] : new AllOf($conditions),
            watchFor: $node->get('watch')->string(),
            stop: $node->optional('stop')?->string(),
            flags: array_map(
                static fn (Node $flag): string => $flag->string(),
                $named,
            ),
            isEarned: $node->optional('earned')?->bool() ?? false,
            with: $node->optional('with')?->enums(TaskWith::class) ?? [],
        );
    }
}

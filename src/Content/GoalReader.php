<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\GoalTask;
use HandGarden\Core\Catalogue\Skill;
use HandGarden\Core\Data\Node;

/** Reads the daily tasks a goal can name. */
final readonly class GoalReader
{
    /**
     * @param list<string> $ladderKeys that there are
     *
     * @return list<GoalTask>
     */
    public function read(Node $node, array $ladderKeys): array
    {
        return array_map(static function (Node $goal) use ($ladderKeys): GoalTask {
            $goal->only('key', 'label', 'ladders', 'skills');
            $weights = [];
            foreach ($goal->get('ladders')->map() as $key => $weight) {
                if (!\in_array($key, $ladderKeys, true)) {
                    throw $weight->fail('no ladder of this name');
                }
                $weights[$key] = $weight->int(1, 5);
            }

            return new GoalTask(
                $goal->get('key')->string(),
                $goal->get('label')->string(),
                $weights,
                array_map(
                    static fn (Node $s): Skill => new Skill(
                        $s->get('words')->string(),
                        $s->get('rung')->string(),
                    ),
                    $goal->get('skills')->items(),
                ),
            );
        }, $node->get('goals')->items());
    }
}

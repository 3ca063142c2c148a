<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Caution;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\ReadyLadders;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\Vocabulary;
use HandGarden\Core\Condition\Condition;
use HandGarden\Core\Condition\ConditionParser;
use HandGarden\Core\Condition\UnreadableCondition;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** Turns the decoded files of `catalogue/` into core values; every complaint names file and path. */
final readonly class CatalogueReader
{
    /**
     * @param array<string, mixed> $data decoded files by name: measures, vocabulary, cautions, screening, goals,
     *     those of the handbook, and ladders by file
     *
     * @throws InvalidData
     */
    public function read(array $data): Catalogue
    {
        $tasks = [];
        foreach (Node::root($data['goals'], 'goals.yaml')->get('goals')->items() as $goal) {
            $tasks[$goal->get('key')->string()] = $goal->get('label')->string();
        }
        $measures = new MeasureReader(
            Node::root($data['measures'], 'measures.yaml'),
            $tasks,
        );
        $vocabulary = $this->vocabulary(
            Node::root($data['vocabulary'], 'vocabulary.yaml'),
            $measures,
        );
        $codes = $vocabulary->codes();
        $handbook = (new HandbookReader())->read($data);
        $ladders = new LadderReader(
            new ConditionParser($codes),
            $vocabulary->gates,
            $handbook,
        );
        $read = [];
        foreach (\is_array($data['ladders']) ? $data['ladders'] : [] as $file => $ladder) {
            $read[] = $ladders->read(Node::root($ladder, (string) $file));
        }

        return new Catalogue(
            new ReadyLadders($read),
            $vocabulary,
            (new ScreeningReader())->read(Node::root($data['screening'], 'screening.yaml')),
            (new GoalReader())->read(
                Node::root($data['goals'], 'goals.yaml'),
                array_map(static fn ($ladder): string => $ladder->key, $read),
            ),
            handbook: $handbook,
            impairments: (new ImpairmentReader(
                new ConditionParser($codes),
                array_map(
                    static fn (Ladder $ladder): string => $ladder->key,
                    $read,
                ),
                array_merge(...array_map(
                    static fn (Ladder $l): array => array_map(
                        static fn (Rung $r): string => $r->id,
                        $l->rungs,
                    ),
                    $read,
                )),
            ))->read(Node::root($data['impairments'], 'impairments.yaml')),
            tasks: (new TaskReader(new ConditionParser($codes), $handbook))->read(
                Node::root($data['tasks'], 'tasks.yaml'),
            ),
        );
    }

    private function vocabulary(Node $node, MeasureReader $measures): Vocabulary
    {
        $node->only('gates');
        $plain = new Vocabulary($measures->kinds(), $measures->lists(), [], []);
        $parser = new ConditionParser($plain->codes());
        $gates = [];
        foreach ($node->get('gates')->map() as $name => $gate) {
            $gates[$name] = new Caution(
                $gate->get('phrase')->string(),
                self::condition($parser, $gate->get('while')),
                $name,
                $gate->optional('by_note')?->bool() ?? false,
            );
        }

        return new Vocabulary(
            $plain->kinds,
            $plain->lists,
            $measures->evidence($parser),
            $gates,
        );
    }

    public static function condition(ConditionParser $parser, Node $node): Condition
    {
        try {
            return $parser->parse($node->string());
        } catch (UnreadableCondition $e) {
            throw $node->fail($e->getMessage());
        }
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Caution;
use HandGarden\Core\Catalogue\CheckList;
use HandGarden\Core\Catalogue\Observation;
use HandGarden\Core\Catalogue\ReadyLadders;
use HandGarden\Core\Catalogue\StrongerEvidence;
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
     * @param array<string, mixed> $data decoded files by name: vocabulary, cautions, screening, goals, those of
     *     the handbook, and ladders by file
     *
     * @throws InvalidData
     */
    public function read(array $data): Catalogue
    {
        $tasks = [];
        foreach (Node::root($data['goals'], 'goals.yaml')->get('goals')->items() as $goal) {
            $tasks[$goal->get('key')->string()] = $goal->get('label')->string();
        }
        $vocabulary = $this->vocabulary(Node::root($data['vocabulary'], 'vocabulary.yaml'), $tasks);
        $codes = Vocabulary::codesOf($vocabulary->lists);
        $handbook = (new HandbookReader())->read($data);
        $ladders = new LadderReader(new ConditionParser($codes), $vocabulary->gates, $handbook);
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
        );
    }

    /** @param array<string, string> $tasks */
    private function vocabulary(Node $node, array $tasks): Vocabulary
    {
        $node->only('lists', 'stronger_evidence', 'gates');
        $lists = array_map($this->checkList(...), $node->get('lists')->items());
        $parser = new ConditionParser(Vocabulary::codesOf($lists));
        $evidence = [];
        foreach ($node->get('stronger_evidence')->items() as $item) {
            $item->only('if', 'then', 'value');
            $value = $item->get('value')->raw();
            $evidence[] = new StrongerEvidence(
                self::condition($parser, $item->get('if')),
                $item->get('then')->string(),
                \is_bool($value) ? $value : $item->get('value')->float(),
            );
        }
        $gates = [];
        foreach ($node->get('gates')->map() as $name => $gate) {
            $gates[$name] = new Caution(
                $gate->get('phrase')->string(),
                self::condition($parser, $gate->get('while')),
            );
        }

        return new Vocabulary($lists, $evidence, $gates, $tasks);
    }

    private function checkList(Node $node): CheckList
    {
        $node->only('key', 'title', 'observations');

        return new CheckList(
            $node->get('key')->string(),
            $node->get('title')->string(),
            array_map(static function (Node $o): Observation {
                $o->only('code', 'ask', 'seconds', 'sided', 'trouble', 'parts');

                return new Observation(
                    $o->get('code')->string(),
                    $o->get('ask')->string(),
                    $o->get('seconds')->int(0, 600),
                    $o->optional('sided')?->bool() ?? true,
                    meansTrouble: $o->optional('trouble')?->bool() ?? false,
                    parts: $o->optional('parts')?->strings() ?? [],
                );
            }, $node->get('observations')->items()),
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

<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Impairment;
use HandGarden\Core\Condition\ConditionParser;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** Reads what matters most for a hand beside its goals. */
final readonly class ImpairmentReader
{
    /**
     * @param list<string> $ladderKeys that there are
     * @param list<string> $rungIds    that there are
     */
    public function __construct(
        private ConditionParser $conditions,
        private array $ladderKeys,
        private array $rungIds,
    ) {
    }

    /**
     * @return list<Impairment>
     *
     * @throws InvalidData naming the path
     */
    public function read(Node $node): array
    {
        return array_map($this->one(...), $node->get('impairments')->items());
    }

    private function one(Node $node): Impairment
    {
        $node->only('key', 'when', 'ladders', 'rungs', 'add', 'reason');

        return new Impairment(
            $node->get('key')->string(),
            CatalogueReader::condition($this->conditions, $node->get('when')),
            self::weights($node->optional('ladders'), $this->ladderKeys),
            self::weights($node->optional('rungs'), $this->rungIds),
            added: self::weights($node->optional('add'), $this->ladderKeys),
            reason: $node->get('reason')->string(),
        );
    }

    /**
     * @param list<string> $known
     *
     * @return array<string, int>
     */
    private static function weights(?Node $node, array $known): array
    {
        $weights = [];
        foreach ($node?->map() ?? [] as $key => $weight) {
            if (!\in_array($key, $known, true)) {
                throw $weight->fail('nothing of this name');
            }
            $weights[$key] = $weight->int(1, Impairment::MOST);
        }

        return $weights;
    }
}

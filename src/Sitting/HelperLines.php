<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Client\Client;
use HandGarden\Client\Helpers;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\ScriptPart;
use HandGarden\Core\Catalogue\Technique;
use HandGarden\Core\Routine\Item;

/** What a helper who is there says with an exercise, one instruction at a time, and what they mind. */
final readonly class HelperLines
{
    public function __construct(
        private CatalogueStore $catalogue,
        private Helpers $helpers,
    ) {
    }

    /**
     * As they stand in a score, where somebody helps and has something to say.
     *
     * @param list<string> $ids   of the items of a sitting
     * @param list<Item>   $items the same
     *
     * @return array{helper?: array<string, list<array{say: string, mind: string}>>} by item
     */
    public function in(Client $client, array $ids, array $items): array
    {
        $lines = [] === $this->helpers->there($client) ? [] : $this->of($ids, $items);

        return [] === $lines ? [] : ['helper' => $lines];
    }

    /**
     * @param list<string> $ids
     * @param list<Item>   $items
     *
     * @return array<string, list<array{say: string, mind: string}>> by item
     */
    private function of(array $ids, array $items): array
    {
        $lines = [];
        foreach ($items as $place => $item) {
            $own = $item->isPause ? [] : $this->ofRung($item->rung->id);
            if ([] !== $own) {
                $lines[$ids[$place]] = $own;
            }
        }

        return $lines;
    }

    /** @return list<array{say: string, mind: string}> */
    private function ofRung(string $id): array
    {
        $book = $this->catalogue->get()->handbook();
        $written = array_map(static fn (ScriptPart $part): array => [
            'say' => $part->words,
            'mind' => $part->notes,
        ], $book->scriptPartsOf($id));
        $technique = $book->techniques->of($id);

        return [] === $written && null !== $technique ? self::ofTechnique($technique) : $written;
    }

    /** @return list<array{say: string, mind: string}> its lines, with the points that were looked for shared out */
    private static function ofTechnique(Technique $technique): array
    {
        $share = max(1, (int) ceil(\count($technique->points) / max(1, \count($technique->lines))));
        $minds = array_chunk(array_values($technique->points), $share);

        return array_map(
            static fn (string $line, int $n): array => [
                'say' => $line,
                'mind' => implode('. ', $minds[$n] ?? []),
            ],
            $technique->lines,
            array_keys($technique->lines),
        );
    }
}

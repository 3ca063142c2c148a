<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Data\InvalidData;

/** Exercises as they are written in the files: where a variant begins and what an exchange hands out. */
final readonly class WrittenRungs
{
    public function __construct(
        private CatalogueStore $store,
        private string $catalogueDir,
    ) {
    }

    /**
     * @return array<string, mixed> without its id
     *
     * @throws InvalidData
     */
    public function for(string $rungId): array
    {
        $ladder = $this->ladder($this->store->get()->ladderOf($rungId)->key);
        foreach (\is_array($ladder['rungs'] ?? null) ? $ladder['rungs'] : [] as $rung) {
            if (\is_array($rung) && ($rung['id'] ?? null) === $rungId) {
                /** @var array<string, mixed> $rung */
                unset($rung['id']);

                return $rung;
            }
        }

        throw InvalidData::at('rungs', 'there is no exercise '.$rungId);
    }

    /**
     * @return array<mixed>
     *
     * @throws InvalidData
     */
    public function ladder(string $key): array
    {
        $written = CatalogueStore::yaml($this->catalogueDir, 'ladders/'.$key.'.yaml');

        return \is_array($written)
            ? $written
            : throw InvalidData::at('ladders/'.$key.'.yaml', 'expected named values');
    }
}

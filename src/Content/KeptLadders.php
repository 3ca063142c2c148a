<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\Ladders;

/**
 * Ladders as ready values in the cache: a page that needs one exercise takes one ladder out, a page that walks through
 * all of them takes them out together, with what they share.
 */
final class KeptLadders implements Ladders
{
    /** @var array<string, Ladder> */
    private array $taken = [];

    private bool $hasAll = false;

    /**
     * @param string                $all   ready values of all ladders, in one
     * @param array<string, string> $kept  ready values by ladder
     * @param array<string, string> $rungs ladder by rung
     */
    public function __construct(
        private readonly string $all,
        private readonly array $kept,
        private readonly array $rungs,
    ) {
    }

    public function all(): array
    {
        if (!$this->hasAll) {
            $all = unserialize($this->all);
            foreach (\is_array($all) ? $all : [] as $ladder) {
                if ($ladder instanceof Ladder) {
                    $this->taken[$ladder->key] ??= $ladder;
                }
            }
            $this->hasAll = true;
        }

        return array_map($this->take(...), array_keys($this->kept));
    }

    public function with(string $rungId): ?Ladder
    {
        return isset($this->rungs[$rungId]) ? $this->take($this->rungs[$rungId]) : null;
    }

    private function take(string $key): Ladder
    {
        if (!isset($this->taken[$key])) {
            $ladder = unserialize($this->kept[$key]);
            $this->taken[$key] = $ladder instanceof Ladder
                ? $ladder
                : throw new \LogicException('The kept catalogue is of another make: '.$key);
        }

        return $this->taken[$key];
    }
}

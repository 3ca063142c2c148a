<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\CoreError;
use HandGarden\Core\Explained;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

final class NothingFits extends \DomainException implements CoreError, Explained
{
    private const MOST_REASONS = 4;

    private function __construct(
        private readonly Phrase $why,
    ) {
        parent::__construct($why->code);
    }

    /** @param non-empty-list<Phrase> $reasons */
    public static function because(array $reasons): self
    {
        $first = \array_slice($reasons, 0, self::MOST_REASONS);

        return new self(
            new Phrase('nothing_fits.because', ['reasons' => Joint::Sentences->joining($first)]),
        );
    }

    public function why(): Phrase
    {
        return $this->why;
    }
}

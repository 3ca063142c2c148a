<?php

declare(strict_types=1);

namespace HandGarden\Home;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Following\ToldOfBlocks;
use Symfony\Component\Uid\Uuid;

final readonly class BlockWords implements ToldOfBlocks
{
    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    public function of(string $blockId): ?array
    {
        $word = Uuid::isValid($blockId) ? $this->entities->find(BlockWord::class, $blockId) : null;

        return null === $word
            ? null
            : ['ease' => $word->ease, 'content' => $word->content, 'at' => $word->at];
    }

    public function keep(BlockWord $word): void
    {
        if (null === $this->of($word->blockId)) {
            $this->entities->persist($word);
            $this->entities->flush();
        }
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** What the wall of a class plays, apart from how far it is: that is asked for every other second by every place. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'class_run_wall')]
class RunWall
{
    /** @param array<string, mixed> $body see Wall */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: Types::GUID)]
        public readonly string $runId,
        #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
        public readonly array $body,
    ) {
    }
}

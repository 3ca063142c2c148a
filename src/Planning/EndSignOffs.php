<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Helpers;
use HandGarden\Client\TroubleBegan;
use HandGarden\Core\Helping\SignEnd;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/** Where something is new in an arm, nobody goes on by what they were shown before it. */
#[AsEventListener]
final readonly class EndSignOffs
{
    public function __construct(
        private Helpers $helpers,
        private Marks $marks,
    ) {
    }

    public function __invoke(TroubleBegan $event): void
    {
        foreach ($this->helpers->of($event->client) as $helper) {
            $this->marks->end($helper, SignEnd::NewTrouble);
        }
    }
}

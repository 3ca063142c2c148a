<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Helper;
use HandGarden\Client\HelperLeft;
use HandGarden\Client\Helpers;
use HandGarden\Core\Helping\SignEnd;
use HandGarden\Web\Clock;
use Symfony\Component\EventDispatcher\EventDispatcherInterface;

/** Somebody does not help any more: what they were signed for ends, and what opens the plan to them is taken out. */
final readonly class HelperLeaves
{
    public function __construct(
        private Helpers $helpers,
        private Marks $marks,
        private Clock $clock,
        private EventDispatcherInterface $events,
    ) {
    }

    /** @return int how many sign-offs ended */
    public function leave(Helper $helper): int
    {
        $helper->leftAt = $this->clock->now();
        $ended = $this->marks->end($helper, SignEnd::HelperLeft);
        $this->helpers->keep($helper);
        $this->events->dispatch(new HelperLeft($helper));

        return $ended;
    }
}

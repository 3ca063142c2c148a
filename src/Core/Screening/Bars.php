<?php

declare(strict_types=1);

namespace HandGarden\Core\Screening;

use HandGarden\Core\Catalogue\Asks;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\Segment;

/** Which rungs a finding keeps out. Parts that are named all have to match; nothing named bars nothing. */
final readonly class Bars
{
    /**
     * @param list<Segment>     $segments
     * @param list<EffortClass> $classes
     * @param list<string>      $strands
     * @param list<string>      $rungs         barred whatever else is named
     * @param list<EffortClass> $exceptClasses all others are barred
     * @param list<Asks>        $asks          of the body: any of them is barred, whatever else is named
     */
    public function __construct(
        public bool $everything = false,
        public array $segments = [],
        public array $classes = [],
        public array $strands = [],
        public array $rungs = [],
        public array $exceptClasses = [],
        public bool $unlessSupervised = false,
        public array $asks = [],
    ) {
    }

    public function bars(Rung $rung, string $strand, bool $supervised): bool
    {
        if ($this->unlessSupervised && $supervised) {
            return false;
        }
        if (
            $this->everything
            || \in_array($rung->id, $this->rungs, true)
            || [] !== array_filter($this->asks, $rung->demands->asks(...))
        ) {
            return true;
        }
        if ([] !== $this->exceptClasses) {
            return !\in_array($rung->load->class, $this->exceptClasses, true);
        }
        $named = [] !== $this->segments || [] !== $this->classes || [] !== $this->strands;

        return $named
            && ([] === $this->segments || \in_array(
                $rung->load->segment,
                $this->segments,
                true,
            ))
            && ([] === $this->classes || \in_array(
                $rung->load->class,
                $this->classes,
                true,
            ))
            && ([] === $this->strands || \in_array($strand, $this->strands, true));
    }
}

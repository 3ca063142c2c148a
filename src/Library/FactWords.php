<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Condition\Atom;
use HandGarden\Core\Condition\Comparison;
use HandGarden\Core\Measure\Unit;
use HandGarden\Web\Wording;

/** Names what a condition asks for. */
final class FactWords
{
    private const OF_A_RUNG = ['stands', 'met', 'tryout', 'helper_signed'];
    private const WITH_WORDS_OF_ITS_OWN = [
        'chosen',
        'tone_dropped_now',
        'in_routine',
        'release_trained',
        'helper_here',
        'at_home',
        'supervised',
    ];

    /** @var array<string, string> one page names the same facts hundreds of times */
    private array $names = [];

    public function __construct(
        private readonly CatalogueStore $store,
        private readonly Wording $wording,
    ) {
    }

    public function name(string $code, ?string $argument): string
    {
        return $this->names[$code.'|'.$argument] ??= $this->named($code, $argument);
    }

    private function named(string $code, ?string $argument): string
    {
        $plain = str_replace('_', ' ', (string) $argument);

        return match (true) {
            \in_array($code, self::OF_A_RUNG, true) => $this->wording->word(
                'fact.'.$code,
                ['rung' => null === $argument ? '' : $this->rungName($argument)],
            ),
            \in_array($code, self::WITH_WORDS_OF_ITS_OWN, true) => $this->wording->word('fact.'.$code),
            'gate_passed' === $code => $this->wording->word(
                'fact.gate_passed',
                ['step' => (string) $argument],
            ),
            'has' === $code => $this->wording->word('fact.has', ['condition' => $plain]),
            default => $this->measured($code, $argument),
        };
    }

    public function rungName(string $id): string
    {
        return $this->store->get()->nameOf($id);
    }

    public function unit(string $code): string
    {
        $unit = $this->store->get()->vocabulary->unitOf($code);
        $sign = $unit?->sign() ?? '';

        return Unit::Degrees === $unit || '' === $sign ? $sign : ' '.$sign;
    }

    public function wanted(Comparison $comparison, Atom $atom): string
    {
        return $this->wording->word(
            'fact.wanted.'.lcfirst($comparison->name),
            ['amount' => $atom->wantedText.$this->unit($atom->code)],
        );
    }

    private function measured(string $code, ?string $argument): string
    {
        $vocabulary = $this->store->get()->vocabulary;
        $mode = $vocabulary->modeOf($code);
        $fact = $vocabulary->label($code);
        $fact = null === $mode ? $fact : $this->wording->word('fact.'.$mode->value, ['fact' => $fact]);
        if (null === $argument) {
            return $fact;
        }
        $how = $vocabulary->isByWristAngle($code) ? 'fact.at_wrist_angle' : 'fact.of_part';

        return $this->wording->word($how, ['fact' => $fact, 'part' => str_replace('_', ' ', $argument)]);
    }
}

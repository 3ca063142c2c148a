<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Condition\Comparison;
use HandGarden\Core\Condition\Finding;
use HandGarden\Core\Condition\Truth;
use HandGarden\Core\Measure\ToneGrade;

/** Says in plain words what a condition found. */
final readonly class Words
{
    public function __construct(
        private Catalogue $catalogue,
    ) {
    }

    /** One atom: 'Wrist held up: 4 s, needs at least 5 s'. */
    public function finding(Finding $finding, Side $placed): string
    {
        $atom = $finding->atom;
        $whose = $finding->side === $placed || !$this->catalogue->vocabulary->isSided($atom->code)
            ? ''
            : ' ('.$finding->side->value.' hand)';
        if ('tryout' === $atom->code) {
            return $this->tryout((string) $atom->argument, $finding->found).$whose;
        }
        $name = $this->name($atom->code, $atom->argument).$whose;
        if (null === $atom->comparison) {
            return $name.': '.(match (true) {
                null === $finding->found => 'not looked at yet',
                true === $finding->found => 'yes',
                default => 'no',
            });
        }

        return $name.': '.$this->amount($atom->code, $finding->found).self::need(
            $finding,
            $this->catalogue->vocabulary->unitSign($atom->code),
        );
    }

    public function placed(RungPlacement $placed, Side $side): string
    {
        $parts = array_map(fn (Finding $f): string => $this->finding($f, $side), $placed->findings);
        $screening = array_map(static fn ($block): string => $block->text(), $placed->screening);
        $cautions = array_map(static fn ($caution): string => $caution->phrase, $placed->blockedBy);

        return match (true) {
            [] !== $screening => implode(' ', $screening),
            [] !== $cautions => implode('; ', $cautions).' ('.implode('; ', $parts).')',
            $placed->ladderEndsBefore => 'The ladder ends below this rung while '
                .implode(' or ', $parts),
            [] !== $parts => implode('; ', $parts),
            RungState::NoFit === $placed->state => 'Not for these conditions',
            RungState::In === $placed->state => 'Shown by a higher rung done cleanly',
            default => 'The rung below comes first',
        };
    }

    public function needed(Needed $needed): string
    {
        return 'tryout' === $needed->code
            ? 'Try out: '.$this->rungName((string) $needed->argument)
            : $this->name($needed->code, $needed->argument);
    }

    public function name(string $code, ?string $argument): string
    {
        $rung = null === $argument ? '' : $this->rungName($argument);

        return match ($code) {
            'stands' => 'Stands on ‘'.$rung.'’ or above',
            'met' => '‘'.$rung.'’ has met its evidence',
            'tryout' => 'Try-out of ‘'.$rung.'’',
            'helper_signed' => 'Helper signed off for ‘'.$rung.'’',
            'chosen' => 'Chosen by the therapist for this client',
            'gate_passed' => 'Step '.$argument.' of the hands-on release passed',
            'tone_dropped_now' => 'Tone has clearly dropped in this sitting',
            'in_routine' => 'The other side is trained in the same routine',
            'release_trained' => 'A therapist trained in hands-on release',
            'helper_here' => 'A helper is there',
            'at_home' => 'At home',
            'supervised' => 'Somebody stands by',
            'has' => 'Lives with '.str_replace('_', ' ', (string) $argument),
            default => $this->measured($code, $argument),
        };
    }

    private function measured(string $code, ?string $argument): string
    {
        $label = $this->catalogue->vocabulary->label($code);
        if (null === $argument) {
            return $label;
        }
        $suffix = str_starts_with($code, 'opening_') || 'release_tries_n' === $code
            ? 'wrist at '.$argument.'°'
            : str_replace('_', ' ', $argument);

        return $label.' ('.$suffix.')';
    }

    private function rungName(string $id): string
    {
        return $this->catalogue->hasRung($id) ? $this->catalogue->rung($id)->name : $id;
    }

    private function tryout(string $rungId, float|bool|string|null $found): string
    {
        return 'Try-out of '.$this->rungName($rungId).': '.match ($found) {
            null => 'not done yet, and the rung below has not met its evidence',
            'clean' => 'clean',
            default => 'not clean yet',
        };
    }

    private function amount(string $code, float|bool|string|null $found): string
    {
        return match (true) {
            null === $found => 'not measured',
            \is_bool($found) => $found ? 'yes' : 'no',
            \is_string($found) => $found,
            is_nan($found) => 'at no measured angle',
            str_starts_with($code, 'tone_') => ToneGrade::fromRank($found)->value,
            default => round($found).$this->catalogue->vocabulary->unitSign($code),
        };
    }

    private static function need(Finding $finding, string $unit): string
    {
        $wanted = $finding->atom->wantedText.$unit;
        if ($finding->negated || Truth::True === $finding->truth) {
            return '';
        }

        return match ($finding->atom->comparison) {
            Comparison::AtLeast => ', needs at least '.$wanted,
            Comparison::AtMost => ', needs at most '.$wanted,
            Comparison::Less => ', needs under '.$wanted,
            Comparison::Greater => ', needs over '.$wanted,
            Comparison::Equal => ', needs '.$wanted,
            null => '',
        };
    }
}

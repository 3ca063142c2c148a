<?php

declare(strict_types=1);

namespace HandGarden\Core\Release;

use HandGarden\Core\Catalogue\ReleaseProtocol;
use HandGarden\Core\Catalogue\ReleaseStep;

/**
 * Where a mark leads from where one is. Only what eases goes on; what tightens goes where the step itself says. The
 * page looks up here and decides nothing.
 */
final readonly class ReleaseTable
{
    /** @var list<ReleaseStep> in which the client is passive, in their order */
    public array $passive;

    /** In which the client opens by themselves. */
    public ReleaseStep $active;

    /**
     * @param bool $mayRaise the arm may be raised: the shoulder is free
     * @param bool $hasGrasp the plan has grasp practice, which is done in turn with the release
     */
    public function __construct(
        ReleaseProtocol $protocol,
        bool $mayRaise,
        private bool $hasGrasp,
    ) {
        $steps = $protocol->steps;
        $last = array_pop($steps) ?? throw new \LogicException('A release has steps.');
        $this->active = $last;
        $this->passive = array_values(array_filter(
            $steps,
            static fn (ReleaseStep $step): bool => $mayRaise || !$step->raisesArm,
        ));
    }

    public function begin(): ReleasePlace
    {
        return ReleasePlace::passive($this->passive[0]->number);
    }

    public function after(ReleasePlace $at, ReleaseMark $mark): ReleasePlace
    {
        return match ($at->stage) {
            ReleaseStage::Passive => $this->afterStep($at, $mark),
            ReleaseStage::Active => $this->inTurn($at, $mark, ReleaseStage::Grasp),
            ReleaseStage::Grasp => $this->inTurn($at, $mark, ReleaseStage::Active),
            ReleaseStage::Test, ReleaseStage::Positioning => $at,
        };
    }

    /** @return list<array{step: string, mark: string, to: string}> every mark at every place, by their codes */
    public function moves(): array
    {
        $moves = [];
        foreach ($this->places() as $place) {
            foreach (ReleaseMark::cases() as $mark) {
                $moves[] = [
                    'step' => $place->code(),
                    'mark' => $mark->value,
                    'to' => $this->after($place, $mark)->code(),
                ];
            }
        }

        return $moves;
    }

    /** @return list<ReleasePlace> where something is marked */
    private function places(): array
    {
        $places = array_map(
            static fn (ReleaseStep $step): ReleasePlace => ReleasePlace::passive($step->number),
            $this->passive,
        );
        $places[] = ReleasePlace::at(ReleaseStage::Active);
        if ($this->hasGrasp) {
            $places[] = ReleasePlace::at(ReleaseStage::Grasp);
        }

        return $places;
    }

    private function afterStep(ReleasePlace $at, ReleaseMark $mark): ReleasePlace
    {
        $step = $this->passive[$this->index($at)];
        $next = $this->passive[$this->index($at) + 1] ?? null;

        return match (true) {
            ReleaseMark::Tighter === $mark => $this->back($step, $at),
            $mark->eases() => $this->onwards($this->index($at) + 1),
            true === $next?->isOptional => ReleasePlace::passive($next->number), // it may be what helps
            default => $at,
        };
    }

    /** The first step from here on that is not there only for a hand that needs it; after the last the test. */
    private function onwards(int $from): ReleasePlace
    {
        foreach (\array_slice($this->passive, $from) as $step) {
            if (!$step->isOptional) {
                return ReleasePlace::passive($step->number);
            }
        }

        return ReleasePlace::at(ReleaseStage::Test);
    }

    private function inTurn(
        ReleasePlace $at,
        ReleaseMark $mark,
        ReleaseStage $other,
    ): ReleasePlace {
        if (ReleaseMark::Tighter === $mark) {
            return $this->back($this->active, $at);
        }

        return $this->hasGrasp ? ReleasePlace::at($other) : $at;
    }

    private function back(ReleaseStep $step, ReleasePlace $at): ReleasePlace
    {
        $to = $step->ifToneRisesGoTo[0] ?? null;

        return null === $to ? $at : ReleasePlace::passive($to);
    }

    private function index(ReleasePlace $at): int
    {
        foreach ($this->passive as $index => $step) {
            if ($step->number === $at->step) {
                return $index;
            }
        }

        throw new \OutOfRangeException('No such step: '.$at->code());
    }
}

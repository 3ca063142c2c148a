<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Asks;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Contact;
use HandGarden\Core\Catalogue\DoneOn;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Catalogue\WorkKind;

/**
 * Reads hidden state, log and given doses and counts what is unsafe by the table of what must not happen. It is written
 * from that table and shares nothing with what it judges.
 */
final class Oracle
{
    private const ALONE = [Performer::ClientAlone, Performer::OwnOtherHand];
    private const OFF_THE_SEAT = [Asks::Reach, Asks::Lean, Asks::Raise, Asks::Weight, Asks::EyesClosed, Asks::Standing];
    private const FLEXORS = ['finger flexors', 'thumb flexors', 'wrist flexors'];
    private const BANDS = ['rubber-bands', 'elastic-band', 'palm-band'];

    /** @var list<Violation> */
    private array $found = [];

    /** @var list<string> what was shown until now */
    private array $marked = [];

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly MadeUpClient $client,
    ) {
    }

    /**
     * @param list<Day> $trace
     *
     * @return list<Violation>
     */
    public function judge(array $trace): array
    {
        $this->found = [];
        $practised = 0;
        foreach ($trace as $day) {
            $this->marked = [] === $day->shown ? $this->marked : $day->shown;
            foreach ($day->sittings as $sitting) {
                $this->sitting($sitting, $day, $practised);
            }
            $practised += [] === $day->sittings ? 0 : 1;
            if ('' === $day->empty) {
                $this->found[] = new Violation(
                    'S29',
                    $day->number,
                    'no routine and no reason',
                );
            }
        }
        $log = new OracleOfTheLog($this->catalogue, $this->client, $trace);

        return [...$this->found, ...$log->judge()];
    }

    /** @param list<Given> $sitting */
    private function sitting(array $sitting, Day $day, int $practised): void
    {
        $say = fn (string $rule, string $what) => $this->found[] = new Violation($rule, $day->number, $what);
        $shown = array_flip($this->marked);
        $seconds = $strength = 0;
        foreach ($sitting as $given) {
            foreach ($this->against($given) as $rule) {
                $say($rule, $given->rung->id);
            }
            foreach ($given->hands->each() as $side) {
                $isTreated = \in_array($side, $this->client->affected(), true);
                if (
                    $isTreated
                    && $this->wantsShowing(
                        $given,
                    )
                    && !isset($shown[$given->rung->id.'|'.$side->value])
                ) {
                    $say('S28', $given->rung->id);
                }
            }
            $seconds += $given->seconds;
            if (
                $practised < 3
                && $given->rung->dosing->amountOf(
                    $given->dose,
                )->number > $given->rung->dosing->amounts->least
            ) {
                $say('S25', $given->rung->id.' more than once');
            }
        }
        $works = array_filter($sitting, static fn (Given $g): bool => !\in_array(
            $g->rung->sitting->role,
            [SittingRole::WarmUp, SittingRole::CoolDown],
            true,
        ));
        if ($practised < 3 && \count($works) > 1 && $seconds > 0.65 * 60 * $this->client->minutes) {
            $say('S25', 'too long for the first days');
        }
        $first = $sitting[0]->rung;
        $last = $sitting[\count($sitting) - 1]->rung;
        if (
            (SittingRole::WarmUp !== $first->sitting->role && !$first->plays(RungPart::StandsIn))
            || (SittingRole::CoolDown !== $last->sitting->role && !$last->plays(RungPart::StandsIn))
        ) {
            $say('S7', 'begins or ends without its frame');
        }
    }

    private function wantsShowing(Given $given): bool
    {
        return $given->rung->load->intensity >= 3
            || $given->rung->dosing->range->loadKilograms[1] > 0.0
            || EffortClass::Device === $given->rung->load->class;
    }

    /** @return list<string> rules */
    private function against(Given $given): array
    {
        $rung = $given->rung;
        $works = $rung->demands->works;
        $rules = [];
        if (!$this->isAble($given)) {
            $rules[] = 'S1';
        }
        if (Trouble::ConfusedAlone === $this->client->trouble && (
            $rung->load->intensity > 2
            || EffortClass::Device === $rung->load->class
            || $rung->demands->asks(Asks::Weight)
            || $rung->demands->asks(Asks::Standing)
            || [] !== array_intersect(self::BANDS, $rung->fit->materials)
        )) {
            $rules[] = 'S2';
        }
        $isOfOneHand = \in_array(
            $rung->fit->doneOn,
            [DoneOn::Affected, DoneOn::EachHand],
            true,
        );
        foreach ($given->hands->each() as $side) {
            if ($isOfOneHand && !\in_array($side, $this->client->affected(), true)) {
                $rules[] = 'S3';
            }
        }
        if (Trouble::SoftHand === $this->client->trouble && (
            $rung->demands->touches(Contact::Traction)
            || $rung->demands->touches(Contact::EndRange)
            || $works->doesWith(ArmPart::Fingers, WorkKind::Stretches)
            || $works->doesWith(ArmPart::Wrist, WorkKind::Stretches)
        )) {
            $rules[] = 'S4';
        }
        foreach ([ArmPart::Wrist, ArmPart::Fingers, ArmPart::Elbow, ArmPart::Forearm] as $part) {
            $isSore = true === $this->client->truth(
                'painful',
                $part->value,
                $this->client->side,
            );
            if ($isSore && $given->hands->covers($this->client->side) && $works->doesWith(
                $part,
                WorkKind::Stretches,
                WorkKind::Loads,
                WorkKind::Pulls,
            )) {
                $rules[] = 'S5';
            }
        }
        if (Trouble::FrailSkin === $this->client->trouble && (
            $rung->demands->touches(Contact::Traction) || $rung->demands->touches(Contact::RollFirm)
        )) {
            $rules[] = 'S6';
        }
        if (Trouble::Injected === $this->client->trouble && EffortClass::Strength === $rung->load->class) {
            foreach ($rung->load->muscles as $load) {
                if ($load->share > 0.0 && \in_array($load->group, self::FLEXORS, true)) {
                    $rules[] = 'S8';
                }
            }
        }

        return [...$rules, ...$this->againstDose($given)];
    }

    /** @return list<string> rules */
    private function againstDose(Given $given): array
    {
        $range = $given->rung->dosing->range;
        $dose = $given->dose;
        $rules = [];
        if (
            $dose->repetitions < $range->repetitions[0] || $dose->repetitions > $range->repetitions[1]
            || $dose->holdSeconds < $range->holdSeconds[0] || $dose->holdSeconds > $range->holdSeconds[1]
            || $dose->loadKilograms > $range->loadKilograms[1] + 1e-9
            || min([0.0, ...array_values(Level::of($given->rung, $dose))]) < 0.0
        ) {
            $rules[] = 'S11';
        }
        $limit = $given->rung->dosing->holdLimit;
        if (null !== $limit && $given->isFirst) {
            $held = $this->client->truth(
                $limit->code,
                Level::finger($dose) ?? $limit->argument,
                $this->client->side,
            );
            $most = max($range->holdSeconds[0], \is_float($held) ? (int) floor($held) : 0);
            if ($given->hands->covers($this->client->side) && $dose->holdSeconds > $most) {
                $rules[] = 'S10';
            }
        }

        return $rules;
    }

    /** Nobody but the client is ever there between two visits. */
    private function isAble(Given $given): bool
    {
        $client = $this->client;
        $who = array_filter(
            $given->rung->fit->performers,
            static fn (Performer $p): bool => \in_array($p, self::ALONE, true),
        );
        if ([] === $who || Trouble::Dementia === $client->trouble) {
            return false;
        }
        $asks = $given->rung->demands->asks;
        $leaves = array_filter(
            $asks,
            static fn (Asks $a): bool => \in_array($a, self::OFF_THE_SEAT, true),
        );
        if (false === $client->truth('sits_safely', null, Side::Right) && [] !== $leaves) {
            return false;
        }
        if (\in_array(
            Performer::ClientAlone,
            $who,
            true,
        ) || Trouble::BothHands !== $client->trouble) {
            return true;
        }
        foreach ($given->hands->each() as $side) {
            $tone = $client->truth('tone_finger', null, $side->opposite());
            if (!\is_float($tone) || $tone >= 2.0) {
                return false;
            }
        }

        return true;
    }
}

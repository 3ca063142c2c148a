<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Override;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Progress\EarlierToday;
use HandGarden\Core\Progress\Given as GivenToday;
use HandGarden\Core\Progress\PracticeDay;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Core\Progress\QuietCards;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Situation;
use HandGarden\Core\Progress\StepsAhead;
use HandGarden\Core\Progress\StepTaken;
use HandGarden\Core\Progress\UsualPain;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Door;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\NothingFits;

/**
 * Runs the whole of the rules over twelve weeks of a made-up client: a routine is built at the begin of a block and
 * after decisions, every day the door judges it and the log is read, a therapist answers at visits only. It shows that
 * the rules hold together; it is no prognosis.
 */
final class VirtualClinic
{
    public const DAYS = 84;
    private const BLOCK = 14;
    private const QUIET = 14;

    private Chart $chart;

    private MadeUpClient $client;

    private ?Mutant $mutant = null;

    private ProgressSettings $settings;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly int $days = self::DAYS,
    ) {
    }

    /** @return list<Day> */
    public function run(MadeUpClient $client, ?Mutant $mutant = null): array
    {
        $this->client = $client;
        $this->mutant = $mutant;
        $this->settings = self::settings($mutant);
        $this->chart = new Chart(
            $client->begin,
            $client->minutes,
        );
        $practice = new Practice($this->catalogue, $client);
        $trace = [];
        for ($n = 0; $n < $this->days; ++$n) {
            $today = $client->begin->modify('+'.$n.' days');
            $day = new Day(
                $n,
                self::isPlanned($n, $client->daysPerWeek),
            );
            $this->deliver($n);
            $open = $this->open($today, $day);
            if (0 === $n % $client->visitEvery()) {
                $this->visit($open, $today, $day);
                $open = [];
            }
            if ($day->isVisit || 0 === $n % self::BLOCK) {
                $this->rebuild($today);
            }
            $this->practise($practice, $open, $today, $day);
            $day->doses = $this->chart->doses;
            $day->suspended = array_map(
                strval(...),
                array_keys($this->chart->suspended),
            );
            $day->routine = $this->chart->routine;
            $day->minutes = $this->chart->minutes;
            $client->forgets();
            $trace[] = $day;
        }

        return $trace;
    }

    private static function settings(?Mutant $mutant): ProgressSettings
    {
        return match ($mutant) {
            Mutant::S12 => new ProgressSettings(
                painFrom: 99,
                painRiseAlone: 99,
                painSuspends: 99,
            ),
            Mutant::S13 => new ProgressSettings(
                toldDays: 999,
                usualPain: 10,
            ),
            Mutant::S14 => new ProgressSettings(creepDays: 999),
            Mutant::S16 => new ProgressSettings(compensationShare: 9.0),
            Mutant::S19 => new ProgressSettings(
                breakDays: 9_999,
                longBreakDays: 9_999,
            ),
            Mutant::S20 => new ProgressSettings(fatigueHigh: 99),
            Mutant::S21 => new ProgressSettings(
                stepsOfAnItem: 99,
                stepsOfAPart: 99,
                stepsInAll: 99,
            ),
            Mutant::S22 => new ProgressSettings(seldomFrom: 999),
            Mutant::S26 => new ProgressSettings(missedBelow: -1.0),
            Mutant::S27 => new ProgressSettings(fallenItems: 999),
            default => new ProgressSettings(),
        };
    }

    private static function isPlanned(int $day, int $daysPerWeek): bool
    {
        return intdiv(($day + 1) * $daysPerWeek, 7) > intdiv(
            $day * $daysPerWeek,
            7,
        );
    }

    /** What arrives today; severe pain and new tingling let the item and what it strains rest at once. */
    private function deliver(int $today): void
    {
        $lines = $this->chart->underway;
        $this->chart->underway = [];
        foreach ($lines as $line) {
            if ($line->arrives > $today) {
                $this->chart->underway[] = $line;
                continue;
            }
            $logged = Told::line(
                $line,
                $this->client->begin,
                $this->mutant,
            );
            if (null === $logged) {
                continue;
            }
            $this->chart->log[] = $logged;
            if ($line->isTingling || ($line->painAfter ?? 0) >= 7) {
                if (!$this->catalogue->rung($logged->rungId)->isRest()) {
                    $this->chart->suspended[$line->key] ??= $today;
                }
                foreach ($line->isTingling ? [] : $this->strained($line->key) as $part) {
                    $this->chart->suspended[$part] ??= $today;
                }
            }
        }
    }

    /** @return list<string> */
    private function strained(string $key): array
    {
        [$rungId, $hands] = explode('|', $key);
        $keys = [];
        foreach ($this->catalogue->rung($rungId)->demands->works->strained() as $part) {
            foreach (Hands::from($hands)->each() as $side) {
                $keys[] = Decided::partKey($part, $side);
            }
        }

        return $keys;
    }

    /** @return list<Proposal> that nobody has answered */
    private function open(\DateTimeImmutable $today, Day $day): array
    {
        $chart = $this->chart;
        $items = array_map(
            fn (Item $i): Item => $i->withDose(
                $this->ofRecord($i),
            ),
            array_values(array_filter(
                $chart->routine,
                static fn (Item $i): bool => !$i->isPause,
            )),
        );
        $quiet = array_keys(array_filter(
            $chart->answered,
            static fn (int $at): bool => $at > $day->number - self::QUIET,
        ));
        $cards = new QuietCards($quiet);
        $log = new SittingLog($chart->log);
        $answered = array_keys($chart->answered);
        $asked = (new Proposer($this->catalogue, $this->settings))->asked(
            array_map(
                static fn (Prescribed $p): Prescribed => $p->under(
                    array_values($chart->restraints),
                ),
                Prescribed::in($items),
            ),
            $log,
            new Situation(
                $this->client->conditions,
                $this->client->daysPerWeek,
                $today,
                $this->usual(),
                answered: $answered,
                quiet: $cards,
                steps: $chart->steps,
                ahead: Mutant::S9 === $this->mutant ? null : new StepsAhead(
                    new Placer($this->catalogue),
                    fn (): ClientFacts => $this->facts(false),
                    $today,
                ),
            ),
        );
        $open = array_values(array_filter(
            $asked->proposals,
            static fn (Proposal $p): bool => !\in_array(
                $p->key(),
                $answered,
                true,
            )
                && !($p->kind->isACard() && $cards->silence(
                    $p,
                    $log,
                )),
        ));
        $this->note($open, $day);
        foreach ($open as $proposal) {
            if ($proposal->holdsDown()) {
                $chart->restraints[$proposal->key()] ??= $proposal;
            }
        }

        return array_values($chart->restraints + array_combine(
            array_map(
                static fn (Proposal $p): string => $p->key(),
                $open,
            ),
            $open,
        ));
    }

    private function usual(): UsualPain
    {
        $levels = [];
        foreach (ArmPart::cases() as $part) {
            foreach (Side::cases() as $side) {
                $levels[UsualPain::key($part, $side)] = $this->client->notedPain();
            }
        }

        return new UsualPain($levels);
    }

    /** @param list<Proposal> $open */
    private function note(array $open, Day $day): void
    {
        foreach ($open as $proposal) {
            $key = $proposal->itemKey() ?? '';
            if ($proposal->kind->isMore()) {
                $day->growth[] = $key;
                $day->evidence[$key] = $proposal->evidence;
            }
            if (ProposalKind::NextRung === $proposal->kind) {
                $day->next[$key] = (string) $proposal->toRungId;
            }
            $day->cards[] = $proposal->key();
        }
    }

    private function ofRecord(Item $item): Dose
    {
        $dosing = $item->rung->dosing;

        return $dosing->with(
            $this->chart->doses[$item->key()] ?? $item->dose,
            $dosing->amountOf($item->dose),
        );
    }

    /** @param list<Proposal> $open */
    private function visit(array $open, \DateTimeImmutable $today, Day $day): void
    {
        $day->isVisit = true;
        $this->chart->lookedAt = $today;
        foreach ($open as $proposal) {
            $this->accept($proposal, $today, $day);
        }
        $this->chart->restraints = [];
        foreach ($this->chart->suspended as $key => $since) {
            if ($since < $day->number - 2) {
                unset($this->chart->suspended[$key]);
            }
        }
        foreach ((new Placer($this->catalogue))->place($this->facts(false), $today)->ladders as $placed) {
            foreach ($placed->offered() as $rung) {
                if ($rung->isShownFirst() && $this->client->happens(0.5)) {
                    $this->chart->shown[] = (new RungOnSide($rung->id, $placed->side))->text();
                }
            }
        }
        $day->shown = $this->chart->shown;
    }

    private function accept(Proposal $proposal, \DateTimeImmutable $today, Day $day): void
    {
        $chart = $this->chart;
        $chart->answered[$proposal->key()] = $day->number;
        $day->decided[] = $proposal;
        ++$day->answered;
        $day->changes += ProposalKind::NextRung === $proposal->kind ? 1 : 0;
        $key = $proposal->itemKey();
        if (null !== $key && null !== $proposal->to) {
            $chart->doses[$key] = $proposal->to;
        }
        if (null !== $key && $proposal->kind->isMore()) {
            $chart->steps[] = new StepTaken($key, $today);
            $day->accepted[] = $key;
        }
        if (null === $proposal->rungId || null === $proposal->hands) {
            if (ProposalKind::Shorten === $proposal->kind) {
                $chart->minutes = max(
                    intdiv($this->client->minutes, 2),
                    5,
                    (int) (0.75 * $chart->minutes),
                );
            }

            return;
        }
        foreach (RungOnSide::forHands($proposal->rungId, $proposal->hands) as $on) {
            if (ProposalKind::NextRung === $proposal->kind) {
                $chart->met[] = $on->text();
            }
            if (ProposalKind::RungBelow === $proposal->kind && null !== $proposal->toRungId) {
                $ladder = $this->catalogue->ladderOf($proposal->toRungId)->key;
                $chart->overrides[] = new Override(
                    $ladder,
                    $on->side,
                    $proposal->toRungId,
                    'pain',
                    on: $today,
                );
            }
        }
    }

    private function rebuild(\DateTimeImmutable $today): void
    {
        $facts = $this->facts(false);
        $doses = $this->chart->doses;
        foreach (Mutant::S10 === $this->mutant ? $this->catalogue->rungs() : [] as $rung) {
            foreach (Hands::cases() as $hands) {
                $doses[$rung->id.'|'.$hands->value] ??= $rung->dosing->start;
            }
        }
        try {
            $this->chart->routine = (new Builder($this->catalogue))->build(new Brief(
                (new Placer($this->catalogue))->place(
                    $facts,
                    $today,
                ),
                $facts,
                $this->client->goals($this->catalogue),
                new Limits($this->chart->minutes),
                today: $today,
                doses: $doses,
            ))->sequence->items;
            $this->chart->empty = '';
        } catch (NothingFits $none) {
            $this->chart->routine = [];
            $this->chart->empty = Mutant::S29 === $this->mutant ? '' : serialize(
                $none->why(),
            );
        }
        foreach ($this->chart->routine as $item) {
            $this->chart->doses[$item->key()] ??= $item->dose;
        }
    }

    private function facts(bool $isVisit): ClientFacts
    {
        $signed = [];
        foreach (Mutant::S1 === $this->mutant ? $this->catalogue->rungs() : [] as $rung) {
            foreach (Side::cases() as $side) {
                $signed[] = (new RungOnSide($rung->id, $side))->text();
            }
        }

        return $this->client->facts(
            $this->chart->lookedAt,
            $this->chart->decided($this->mutant),
            $this->client->setting($signed, $isVisit),
            $this->mutant,
        );
    }

    /** @param list<Proposal> $open */
    private function practise(
        Practice $practice,
        array $open,
        \DateTimeImmutable $today,
        Day $day,
    ): void {
        if (!$day->isPlanned) {
            return;
        }
        if ([] === $this->chart->routine) {
            $day->empty = $this->chart->empty;

            return;
        }
        $items = array_map(
            fn (Item $i): Item => $i->isPause ? $i : $i->withDose(
                $this->ofRecord($i),
            ),
            $this->chart->routine,
        );
        $facts = $this->facts(false);
        $known = new KnownFacts(
            $facts,
            $this->catalogue->vocabulary,
            $today,
        );
        $door = new Door(
            $this->catalogue,
            $facts,
            $known,
            $today,
        );
        $log = new SittingLog($this->chart->log);
        for ($i = 0; $i < $this->client->trouble->sittingsPerDay(); ++$i) {
            $comes = $this->client->happens($this->client->adherence) && !$this->client->isAway(
                $day->number,
            );
            $reason = $comes ? null : $this->client->reasonToSkip($day->number);
            if (!$comes && null === $reason) {
                continue;
            }
            $given = (new GivenToday(
                $open,
                Mutant::S25 === $this->mutant ? 99 : \count(
                    PracticeDay::in($log->lines),
                ),
                60 * $this->chart->minutes,
                $door,
                earlier: EarlierToday::in(
                    new SittingLog($this->chart->log),
                    $this->catalogue,
                    $today,
                ),
            ))->of($items)->items;
            $sitting = $this->broken(
                Told::given($given, $this->chart),
            );
            if ([] === $sitting) {
                continue;
            }
            if (null !== $reason) {
                $day->left[] = $sitting;
                $day->reason = $reason;
                array_push(
                    $this->chart->log,
                    ...$practice->leftOut($sitting, $day, $reason),
                );
                continue;
            }
            $day->sittings[] = $sitting;
            $lines = $practice->lines($sitting, $day);
            array_push($day->lines, ...$lines);
            array_push($this->chart->underway, ...$lines);
            $this->deliver($day->number);
        }
    }

    /**
     * @param list<Given> $sitting
     *
     * @return list<Given>
     */
    private function broken(array $sitting): array
    {
        if (Mutant::S7 === $this->mutant) {
            array_pop($sitting);
        }
        if (Mutant::S11 !== $this->mutant) {
            return $sitting;
        }

        return array_map(static fn (Given $g): Given => new Given(
            $g->rung,
            $g->hands,
            $g->dose->withRepetitions($g->rung->dosing->range->repetitions[1] + 1),
            $g->prescribed,
            seconds: $g->seconds,
            isFirst: $g->isFirst,
        ), $sitting);
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Words\Phrase;

/**
 * A review for colleagues, written from what is kept. It calls nothing better without a real difference, looks into no
 * future, blames nobody, and leaves out neither lost ground nor a symptom nor a gap.
 */
final readonly class ColleagueReport
{
    /** @return list<Paragraph> in their order, each of them there */
    public function of(Material $of): array
    {
        return array_map(
            fn (Heading $heading): Paragraph => new Paragraph($heading, match ($heading) {
                Heading::Reason => [$this->reason($of)],
                Heading::InOneLine => [$this->inOneLine($of)],
                Heading::Cautions => self::cautions($of),
                Heading::Done => $this->done($of),
                Heading::Measures => array_map($this->measure(...), $of->measures),
                Heading::Phases => $this->phases($of),
                Heading::Task => $this->task($of),
                Heading::Incidents => $this->incidents($of),
                Heading::Asked => [],
                Heading::Plan => $this->plan($of),
            }),
            Heading::cases(),
        );
    }

    private function reason(Material $of): Sentence
    {
        return new Sentence(new Phrase('report.reason', [
            'conditions' => $of->conditions,
            'hands' => $of->hands,
            'from' => Phrase::day($of->from),
            'until' => Phrase::day($of->until),
        ]), [$of->clientFact()]);
    }

    private function inOneLine(Material $of): Sentence
    {
        $count = static fn (Judgement $j): int => \count(array_filter(
            $of->measures,
            static fn (Measured $m): bool => $j === $m->judgement,
        ));
        $facts = [$of->clientFact(), ...$of->sittingFacts()];
        foreach ($of->measures as $measured) {
            array_push($facts, ...$measured->facts());
        }

        return new Sentence(new Phrase('report.in_one_line', [
            'measures' => \count($of->measures),
            'gains' => $count(Judgement::Gain),
            'losses' => $count(Judgement::Loss),
            'same' => $count(Judgement::NoChange),
            'open' => $count(Judgement::NotComparable) + $count(Judgement::NeedsRepeats),
            'days' => $of->days,
            'planned' => $of->plannedDays,
        ]), $facts, isOwed: true);
    }

    /** @return list<Sentence> */
    private static function cautions(Material $of): array
    {
        $sentences = [];
        foreach ($of->cautions as $question => $words) {
            $sentences[] = new Sentence(
                Phrase::own($words),
                [new Fact(FactKind::Answer, $question)],
            );
        }

        return $sentences;
    }

    /** @return list<Sentence> */
    private function done(Material $of): array
    {
        $sittings = $of->sittingFacts();
        $done = new Sentence(new Phrase('report.done', [
            'sittings' => \count($sittings),
            'days' => $of->days,
            'planned' => $of->plannedDays,
        ]), [$of->clientFact(), ...$sittings]);
        $gaps = array_map(static fn (Gap $gap): Sentence => new Sentence(
            new Phrase($gap->isIllness ? 'report.gap_ill' : 'report.gap', [
                'from' => Phrase::day($gap->from),
                'until' => Phrase::day($gap->until),
            ]),
            array_map(static fn (string $id): Fact => new Fact(FactKind::Sitting, $id), $gap->sittings),
            isOwed: true,
        ), $of->gaps);
        $steps = array_map(static fn (Step $step): Sentence => new Sentence(new Phrase('report.step', [
            'item' => $step->name,
            'from' => $step->from,
            'to' => $step->to,
            'on' => Phrase::day($step->on),
        ]), $step->facts()), $of->steps);

        return [$done, ...$gaps, ...$steps];
    }

    private function measure(Measured $one): Sentence
    {
        $figures = [
            'label' => $one->label,
            'hand' => $one->hand,
            'first' => $one->first,
            'first_on' => Phrase::day($one->firstOn),
            'last' => $one->last,
            'last_on' => Phrase::day($one->lastOn),
            'difference' => $one->difference,
            'least' => $one->mustBeat,
            'injected' => $one->isInjected ? 1 : 0,
        ];

        return new Sentence(match ($one->judgement) {
            Judgement::Gain => new Phrase('report.gain', $figures),
            Judgement::Loss => new Phrase('report.loss', $figures),
            Judgement::NoChange => new Phrase('report.no_change', $figures),
            Judgement::NotComparable => new Phrase('report.not_comparable', $figures + [
                'why' => $one->why ?? new Phrase('judgement.not_comparable'),
            ]),
            Judgement::NeedsRepeats => new Phrase('report.needs_repeats', $figures),
        }, $one->facts(), isOwed: Judgement::Loss === $one->judgement);
    }

    /** @return list<Sentence> */
    private function phases(Material $of): array
    {
        return null === $of->injectedOn ? [] : [new Sentence(
            new Phrase('report.injection', ['on' => Phrase::day($of->injectedOn)]),
            [$of->clientFact()],
        )];
    }

    /** @return list<Sentence> */
    private function task(Material $of): array
    {
        return array_map(static fn (Rating $rating): Sentence => new Sentence(new Phrase('report.rating', [
            'on' => Phrase::day($rating->on),
            'ease' => $rating->ease ?? 'none',
            'content' => $rating->content ?? 'none',
        ]), [new Fact(FactKind::Review, $rating->reviewId)]), $of->ratings);
    }

    /** @return list<Sentence> */
    private function incidents(Material $of): array
    {
        return array_map(static fn (Incident $one): Sentence => new Sentence(
            null === $one->answeredOn
                ? new Phrase('report.incident_open', ['why' => $one->why, 'on' => Phrase::day($one->on)])
                : new Phrase('report.incident', [
                    'why' => $one->why,
                    'on' => Phrase::day($one->on),
                    'answered' => Phrase::day($one->answeredOn),
                ]),
            [new Fact(FactKind::Alert, $one->alertId)],
            isOwed: true,
        ), $of->incidents);
    }

    /** @return list<Sentence> */
    private function plan(Material $of): array
    {
        return null === $of->nextVisit ? [] : [new Sentence(
            new Phrase('report.next_visit', ['on' => Phrase::day($of->nextVisit)]),
            [$of->clientFact()],
        )];
    }
}

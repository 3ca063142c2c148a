<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Measure\Change\InjectionPhase;
use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Screening\ScreeningQuestions;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/**
 * A review for colleagues, written from what is kept. It calls nothing better without a real difference, looks into no
 * future, blames nobody, and leaves out neither lost ground nor a symptom nor a gap.
 */
final readonly class ColleagueReport implements Author
{
    /** Of the numbers behind a finding, so many are said. */
    private const BECAUSE = 3;

    public function of(Material $of): array
    {
        return array_map(
            static fn (Heading $heading): Paragraph => new Paragraph($heading, match ($heading) {
                Heading::Reason => [self::reason($of)],
                Heading::InOneLine => [self::inOneLine($of)],
                Heading::Cautions => self::cautions($of),
                Heading::Done => [...self::done($of), ...OnTheWay::gaps($of), ...self::steps($of)],
                Heading::Measures => [
                    ...array_map(MeasureRow::of(...), $of->measures),
                    ...array_map(MeasureRow::once(...), $of->once),
                ],
                Heading::Phases => self::phases($of),
                Heading::Task => self::task($of),
                Heading::Incidents => [...OnTheWay::pain($of), ...OnTheWay::incidents($of)],
                Heading::Findings => array_map(self::finding(...), $of->findings),
                Heading::Plan => self::plan($of),
                default => [],
            }),
            ReportKind::Review->headings(),
        );
    }

    private static function reason(Material $of): Sentence
    {
        return new Sentence(new Phrase('report.reason', [
            'conditions' => $of->conditions,
            'hands' => $of->hands,
            'from' => Phrase::day($of->from),
            'until' => Phrase::day($of->until),
        ]), [$of->clientFact()]);
    }

    private static function inOneLine(Material $of): Sentence
    {
        $facts = [$of->clientFact(), ...$of->practice->facts()];
        foreach ($of->measures as $measured) {
            array_push($facts, ...$measured->facts());
        }

        return new Sentence(new Phrase('report.in_one_line', [
            'measures' => \count($of->measures),
            'gains' => \count($of->judged(Judgement::Gain)),
            'losses' => \count($of->judged(Judgement::Loss)),
            'same' => \count($of->judged(Judgement::NoChange)),
            'open' => \count($of->judged(Judgement::NotComparable, Judgement::NeedsRepeats)),
            'days' => $of->practice->days,
            'planned' => $of->practice->planned,
        ]), $facts, isOwed: true);
    }

    /** @return list<Sentence> */
    private static function cautions(Material $of): array
    {
        return array_map(
            static fn (string $question, string $words): Sentence => new Sentence(
                Phrase::own($words),
                [new Fact(FactKind::Answer, $question)],
            ),
            array_keys($of->cautions),
            array_values($of->cautions),
        );
    }

    /** @return list<Sentence> */
    private static function done(Material $of): array
    {
        $practice = $of->practice;
        $facts = [$of->clientFact(), ...$practice->facts()];
        $sittings = \count($practice->sittings);
        $done = [new Sentence(new Phrase('report.done', [
            'sittings' => $sittings,
            'days' => $practice->days,
            'planned' => $practice->planned,
        ]), $facts)];
        if ($practice->timed > 0) {
            $done[] = new Sentence(new Phrase('report.timed', [
                'minutes' => $practice->minutes,
                'timed' => $practice->timed,
                'all' => $practice->timed === $sittings ? 1 : 0,
            ]), $facts);
        }
        if ($sittings > 0) {
            $done[] = new Sentence(new Phrase('report.help', [
                'sittings' => $sittings,
                'alone' => $practice->alone,
                'helped' => $practice->helped,
                'unsaid' => $sittings - $practice->alone - $practice->helped,
            ]), $facts);
        }

        return $done;
    }

    /** @return list<Sentence> one for each exercise: where its dose stood, where it stands, in how many steps */
    private static function steps(Material $of): array
    {
        $byItem = [];
        foreach ($of->steps as $step) {
            $byItem[$step->name][] = $step;
        }

        return array_values(
            array_map(static fn (array $steps): Sentence => new Sentence(new Phrase('report.step', [
                'item' => $steps[0]->name,
                'from' => $steps[0]->from,
                'to' => $steps[\count($steps) - 1]->to,
                'steps' => \count($steps),
                'on' => Phrase::day($steps[\count($steps) - 1]->on),
            ]), array_merge(...array_map(static fn (Step $s): array => $s->facts(), $steps))), $byItem),
        );
    }

    /** @return list<Sentence> */
    private static function phases(Material $of): array
    {
        $phases = [];
        if (null !== $of->injectedOn) {
            $phases[] = new Sentence(new Phrase('report.injection', [
                'on' => Phrase::day($of->injectedOn),
                'at_first' => InjectionPhase::at($of->injectedOn, $of->from)->value,
                'at_last' => InjectionPhase::at($of->injectedOn, $of->until)->value,
            ]), [$of->clientFact()]);
        }
        foreach ($of->medicine as $day) {
            $phases[] = new Sentence(
                new Phrase('report.medicine', ['on' => Phrase::day($day)]),
                [new Fact(FactKind::Answer, ScreeningQuestions::MEDICINE_CHANGED)],
            );
        }

        return $phases;
    }

    /** @return list<Sentence> */
    private static function task(Material $of): array
    {
        return array_map(static fn (Rating $rating): Sentence => new Sentence(new Phrase('report.rating', [
            'on' => Phrase::day($rating->on),
            'ease' => $rating->ease ?? 'none',
            'content' => $rating->content ?? 'none',
        ]), [new Fact(FactKind::Review, $rating->reviewId)]), $of->ratings);
    }

    private static function finding(GroundedFinding $grounded): Sentence
    {
        $finding = $grounded->finding;

        return new Sentence(new Phrase('report.finding', [
            'side' => $finding->side->value,
            'title' => $finding->title,
            'because' => Joint::Semicolon->joining(\array_slice($finding->because, 0, self::BECAUSE)),
            'meaning' => $finding->meaning ?? '',
        ]), $grounded->facts);
    }

    /** @return list<Sentence> */
    private static function plan(Material $of): array
    {
        $plan = [];
        if (null !== $of->plan) {
            $plan[] = new Sentence(
                $of->plan->says('report.plan'),
                $of->plan->facts($of->clientFact()),
                isOfThen: true,
            );
        }
        if (null !== $of->plan?->blockId && null !== $of->plan->ends) {
            $plan[] = new Sentence(
                new Phrase('report.block', ['ends' => Phrase::day($of->plan->ends)]),
                [new Fact(FactKind::Block, $of->plan->blockId)],
                isOfThen: true,
            );
        }
        if (null !== $of->nextVisit) {
            $plan[] = new Sentence(
                new Phrase('report.next_visit', ['on' => Phrase::day($of->nextVisit->on)]),
                [new Fact(FactKind::Look, $of->nextVisit->lookId)],
                isOfThen: true,
            );
        }

        return $plan;
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/** What stays when care ends: what the hand can do, what keeps it, and when somebody is needed again. */
final readonly class DischargeReport implements Author
{
    public function of(Material $of): array
    {
        $home = $of->home ?? new KeptHome();

        return array_map(
            static fn (Heading $heading): Paragraph => new Paragraph($heading, match ($heading) {
                Heading::Reached => array_map(self::reached(...), $home->reached),
                Heading::OnTheWay => OnTheWay::all($of),
                Heading::Keeps => self::keeps($of),
                Heading::Week => array_map(self::day(...), $home->week),
                Heading::BadDays => array_map(self::short(...), $home->short),
                Heading::Worn => array_map(self::worn(...), $home->worn),
                Heading::Helpers => array_map(self::helper(...), $home->helpers),
                Heading::ComeBack => self::comeBack($of, $home),
                Heading::Again => self::again($of, $home),
                default => [],
            }),
            ReportKind::Discharge->headings(),
        );
    }

    private static function reached(KeptDose $one): Sentence
    {
        return new Sentence(new Phrase('discharge.reached', [
            'name' => $one->name,
            'hands' => $one->hands,
            'dose' => $one->dose,
            'days' => $one->heldDays,
        ]), $one->facts);
    }

    /** @return list<Sentence> */
    private static function keeps(Material $of): array
    {
        return null === $of->plan ? [] : [
            new Sentence($of->plan->says('discharge.keeps'), $of->plan->facts()),
            new Sentence(new Phrase('discharge.away'), [$of->numbers->fact()]),
        ];
    }

    private static function day(KeptDay $day): Sentence
    {
        $name = new Phrase('weekday', ['day' => $day->weekday]);
        $when = new Phrase('discharge.when', [
            'times' => Joint::Comma->joining($day->times),
            'minutes' => $day->minutes,
        ]);
        $what = [] === $day->only ? new Phrase('discharge.all_of_it') : Joint::Comma->joining($day->only);

        return new Sentence(
            new Phrase('discharge.day', ['day' => $name, 'when' => $when, 'what' => $what]),
            [new Fact(FactKind::Routine, $day->routineId)],
            cells: [$name, $when, $what],
        );
    }

    private static function short(KeptDose $one): Sentence
    {
        return new Sentence(new Phrase('discharge.short', [
            'name' => $one->name,
            'hands' => $one->hands,
            'dose' => $one->dose,
        ]), $one->facts);
    }

    private static function worn(KeptWear $one): Sentence
    {
        return new Sentence(new Phrase('discharge.worn', [
            'worn' => $one->worn->value,
            'side' => $one->side->value,
            'when' => '' === $one->when ? new Phrase('discharge.when_warm') : $one->when,
            'minutes' => match (true) {
                $one->time->isNight => 'night',
                null === $one->time->minutes => 'walk',
                default => $one->time->minutes,
            },
        ]), [new Fact(FactKind::Wear, $one->planId)]);
    }

    private static function helper(KeptHelp $one): Sentence
    {
        return new Sentence(new Phrase('discharge.helper', [
            'helper' => $one->helper,
            'what' => Joint::Comma->joining($one->what),
            'until' => Phrase::day($one->until),
        ]), array_map(static fn (string $id): Fact => new Fact(FactKind::SignOff, $id), $one->signOffs));
    }

    /** @return list<Sentence> */
    private static function comeBack(Material $of, KeptHome $home): array
    {
        return [
            ...array_map(
                static fn (string $sign): Sentence => new Sentence(
                    Phrase::own($sign),
                    [$of->numbers->fact()],
                ),
                $home->signs,
            ),
            new Sentence(new Phrase('discharge.signs'), [$of->numbers->fact()]),
            new Sentence(new Phrase('discharge.call', [
                'phone' => $of->numbers->phoneWord(),
                'number' => $of->numbers->emergency,
            ]), [$of->numbers->fact()]),
        ];
    }

    /** @return list<Sentence> the agreed visit, and what has a day of its own */
    private static function again(Material $of, KeptHome $home): array
    {
        $again = null === $of->nextVisit ? [] : [new Sentence(
            new Phrase('report.next_visit', ['on' => Phrase::day($of->nextVisit->on)]),
            [new Fact(FactKind::Look, $of->nextVisit->lookId)],
        )];
        foreach ($home->worn as $worn) {
            $again[] = new Sentence(new Phrase('discharge.fit', [
                'worn' => $worn->worn->value,
                'by' => Phrase::day($worn->fitDueOn),
            ]), [new Fact(FactKind::Wear, $worn->planId)]);
        }
        foreach ($home->helpers as $help) {
            $again[] = new Sentence(new Phrase('discharge.shown_again', [
                'helper' => $help->helper,
                'by' => Phrase::day($help->until),
            ]), array_map(
                static fn (string $id): Fact => new Fact(FactKind::SignOff, $id),
                $help->signOffs,
            ));
        }

        return $again;
    }
}

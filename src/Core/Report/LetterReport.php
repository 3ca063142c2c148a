<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Words\Phrase;

/**
 * A letter to the client, of one page in large type: short sentences, nothing that has to be looked up, no figure of a
 * hand. What became less, what hurt and what was left out for days stand in it like everywhere else.
 */
final readonly class LetterReport implements Author
{
    /** So many things that stayed as they were are named; the rest is counted. */
    private const STAYED = 3;

    public function of(Material $of): array
    {
        $things = self::things($of);

        return array_map(
            static fn (Heading $heading): Paragraph => new Paragraph($heading, match ($heading) {
                Heading::Wanted => self::wanted($of),
                Heading::YouDid => self::youDid($of),
                Heading::Changed => self::changed($things, $of),
                Heading::Stayed => self::stayed($things, $of),
                Heading::Next => self::next($of),
                Heading::Call => [
                    new Sentence(
                        new Phrase('letter.call', ['phone' => $of->numbers->phoneWord()]),
                        [$of->numbers->fact()],
                    ),
                    new Sentence(
                        new Phrase('letter.emergency', ['number' => $of->numbers->emergency]),
                        [$of->numbers->fact()],
                    ),
                ],
                default => [],
            }),
            ReportKind::Letter->headings(),
        );
    }

    /**
     * Measures by what they are about. Where one of a thing has become less, none of it is called better.
     *
     * @return list<array{thing: PlainThing, as: Judgement, measures: non-empty-list<Measured>}>
     */
    private static function things(Material $of): array
    {
        $order = [
            Judgement::Loss,
            Judgement::Gain,
            Judgement::NoChange,
            Judgement::NotComparable,
            Judgement::NeedsRepeats,
        ];
        $things = [];
        foreach ($order as $as) {
            $found = [];
            foreach ($of->judged($as) as $measured) {
                $thing = PlainThing::of($measured->key);
                if (null !== $thing && !isset($things[$thing->key()])) {
                    $found[$thing->key()] = [
                        'thing' => $thing,
                        'as' => $as,
                        'measures' => [...$found[$thing->key()]['measures'] ?? [], $measured],
                    ];
                }
            }
            $things += $found;
        }

        return array_values($things);
    }

    /** @return list<Sentence> */
    private static function wanted(Material $of): array
    {
        return '' === $of->wanted ? [] : [
            new Sentence(new Phrase('letter.wanted', ['task' => $of->wanted]), [$of->clientFact()]),
        ];
    }

    /** @return list<Sentence> */
    private static function youDid(Material $of): array
    {
        $practice = $of->practice;
        $did = [new Sentence(new Phrase('letter.did', [
            'days' => $practice->days,
            'planned' => $practice->planned,
        ]), [$of->clientFact(), ...$practice->facts()])];
        foreach ($of->gaps as $gap) {
            $did[] = new Sentence(
                new Phrase($gap->isIllness ? 'letter.ill' : 'letter.away', [
                    'from' => Phrase::day($gap->from),
                    'until' => Phrase::day($gap->until),
                    'eased' => $gap->wasEased ? 1 : 0,
                ]),
                $gap->facts(),
                isOwed: true,
            );
        }
        if (true === $practice->pain?->isRise()) {
            $did[] = new Sentence(
                new Phrase('letter.pain_rises'),
                [$of->clientFact(), ...$practice->facts()],
                isOwed: true,
            );
        }
        if ([] !== $of->incidents) {
            $last = $of->incidents[\count($of->incidents) - 1];
            $did[] = new Sentence(
                new Phrase(
                    'letter.told',
                    ['times' => \count($of->incidents), 'last' => Phrase::day($last->on)],
                ),
                array_map(static fn (Incident $one): Fact => $one->fact(), $of->incidents),
                isOwed: true,
            );
        }

        return $did;
    }

    /**
     * @param list<array{thing: PlainThing, as: Judgement, measures: non-empty-list<Measured>}> $things
     *
     * @return non-empty-list<Sentence>
     */
    private static function changed(array $things, Material $of): array
    {
        $changed = [
            ...self::said($things, Judgement::Gain, 'letter.better', $of),
            ...self::said($things, Judgement::Loss, 'letter.less', $of),
        ];

        return match (true) {
            [] !== $changed => $changed,
            [] === $of->measures => [new Sentence(new Phrase('letter.not_twice'), [$of->clientFact()])],
            default => [new Sentence(
                new Phrase(
                    [] === $of->judged(Judgement::NoChange) ? 'letter.cannot_tell' : 'letter.no_change_yet',
                ),
                self::factsOf($of->measures),
            )],
        };
    }

    /**
     * @param list<array{thing: PlainThing, as: Judgement, measures: non-empty-list<Measured>}> $things
     *
     * @return list<Sentence>
     */
    private static function said(array $things, Judgement $as, string $words, Material $of): array
    {
        $said = [];
        foreach ($things as ['thing' => $thing, 'as' => $is, 'measures' => $measures]) {
            if ($as === $is) {
                $first = min(
                    array_map(static fn (Measured $m): \DateTimeImmutable => $m->firstOn, $measures),
                );
                $said[] = new Sentence(
                    new Phrase($words, [
                        'thing' => $thing->words(),
                        'what' => $thing->what,
                        'side' => $thing->side->value ?? 'none',
                        'since' => self::since($first, $of->until),
                        'injected' => [] === array_filter(
                            $measures,
                            static fn (Measured $m): bool => $m->isInjected,
                        ) ? 0 : 1,
                    ]),
                    self::factsOf($measures),
                    isOwed: Judgement::Loss === $as,
                );
            }
        }

        return $said;
    }

    /**
     * @param list<array{thing: PlainThing, as: Judgement, measures: non-empty-list<Measured>}> $things
     *
     * @return list<Sentence>
     */
    private static function stayed(array $things, Material $of): array
    {
        $stayed = self::said($things, Judgement::NoChange, 'letter.same', $of);
        $rest = \array_slice($stayed, self::STAYED);
        if ([] !== $rest) {
            $stayed = [...\array_slice($stayed, 0, self::STAYED), new Sentence(
                new Phrase('letter.same_more', ['more' => \count($rest)]),
                array_merge(...array_map(static fn (Sentence $s): array => $s->facts, $rest)),
            )];
        }
        $open = [];
        foreach ($things as ['as' => $as, 'measures' => $measures]) {
            if (\in_array($as, [Judgement::NotComparable, Judgement::NeedsRepeats], true)) {
                array_push($open, ...self::factsOf($measures));
            }
        }

        return [] === $open
            ? $stayed
            : [...$stayed, new Sentence(new Phrase('letter.not_comparable'), $open)];
    }

    /** @return list<Sentence> */
    private static function next(Material $of): array
    {
        $next = [];
        if (null !== $of->plan) {
            $next[] = new Sentence(
                $of->plan->says('letter.plan'),
                $of->plan->facts($of->clientFact()),
                isOfThen: true,
            );
        }
        if (null !== $of->nextVisit) {
            $next[] = new Sentence(
                new Phrase('letter.visit', ['on' => Phrase::day($of->nextVisit->on)]),
                [new Fact(FactKind::Look, $of->nextVisit->lookId)],
                isOfThen: true,
            );
        }

        return $next;
    }

    /** A month that is over by its name, this one by the day, one of another year with it. */
    private static function since(\DateTimeImmutable $day, \DateTimeImmutable $until): Phrase
    {
        if ($day->format('Y-m') === $until->format('Y-m')) {
            return new Phrase('letter.since_day', ['day' => Phrase::day($day)]);
        }

        return new Phrase('letter.since_month', [
            'month' => new Phrase('month', ['month' => (int) $day->format('n')]),
            'year' => $day->format('Y') === $until->format('Y') ? 'this' : $day->format('Y'),
        ]);
    }

    /**
     * @param non-empty-list<Measured> $measures
     *
     * @return non-empty-list<Fact>
     */
    private static function factsOf(array $measures): array
    {
        return array_merge(...array_map(static fn (Measured $m): array => $m->facts(), $measures));
    }
}

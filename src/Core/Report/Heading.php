<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** The parts of reports; in which they stand, and in what order, says ReportKind. */
enum Heading: string
{
    case Reason = 'reason';
    case InOneLine = 'in-one-line';
    case Cautions = 'cautions';
    case Done = 'done';
    case Measures = 'measures';
    case Phases = 'phases';
    case Task = 'task';
    case Incidents = 'incidents';
    /** Explained from the measures; not diagnosed. */
    case Findings = 'findings';
    /** What is asked of the reader: a therapist writes it. */
    case Asked = 'asked';
    case Plan = 'plan';

    case Wanted = 'wanted';
    case YouDid = 'you-did';
    case Changed = 'changed';
    case Stayed = 'stayed';
    case Next = 'next';
    case Call = 'call';

    /** Exercises that are reached and held, with their doses. */
    case Reached = 'reached';
    /** Lost ground, gaps and symptoms. */
    case OnTheWay = 'on-the-way';
    case Keeps = 'keeps';
    case Week = 'week';
    case BadDays = 'bad-days';
    case Worn = 'worn';
    case Helpers = 'helpers';
    case ComeBack = 'come-back';
    case Again = 'again';

    /** Columns of the table that its lines are; 0: they are sentences. */
    public function columns(): int
    {
        return match ($this) {
            self::Measures => 4,
            self::Week => 3,
            default => 0,
        };
    }
}

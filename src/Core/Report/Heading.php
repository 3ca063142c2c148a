<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** The parts of a review for colleagues, in their order. */
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
    /** What is asked of the reader: a therapist writes it. */
    case Asked = 'asked';
    case Plan = 'plan';
}

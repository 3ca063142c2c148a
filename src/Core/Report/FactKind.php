<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** What a sentence of a report rests on. Its id is that of the record, or the natural key of a measure on a day. */
enum FactKind: string
{
    case Client = 'client';
    /** `code|argument|mode|side@day` */
    case Reading = 'reading';
    case Sitting = 'sitting';
    case Dose = 'dose';
    case Decision = 'decision';
    case Alert = 'alert';
    /** Of a screening question, by its id. */
    case Answer = 'answer';
    case Review = 'review';
    /** Of a routine that was made. */
    case Routine = 'routine';
    case Block = 'block';
    /** At which a visit was agreed. */
    case Look = 'look';
    /** Of a helper for an exercise. */
    case SignOff = 'signed';
    case Wear = 'wear';
    /** What a clinic has set: its numbers. */
    case Clinic = 'clinic';
}

<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** For whom a report is written, and with that what stands in it. */
enum ReportKind: string
{
    case Review = 'review';
    /** To the client, in plain words. */
    case Letter = 'letter';
    /** At the end of care, with the plan that stays at home. */
    case Discharge = 'discharge';

    /** @return non-empty-list<Heading> in their order */
    public function headings(): array
    {
        return match ($this) {
            self::Review => [
                Heading::Reason,
                Heading::InOneLine,
                Heading::Cautions,
                Heading::Done,
                Heading::Measures,
                Heading::Phases,
                Heading::Task,
                Heading::Incidents,
                Heading::Findings,
                Heading::Asked,
                Heading::Plan,
            ],
            self::Letter => [
                Heading::Wanted,
                Heading::YouDid,
                Heading::Changed,
                Heading::Stayed,
                Heading::Next,
                Heading::Call,
            ],
            self::Discharge => [
                Heading::Reached,
                Heading::OnTheWay,
                Heading::Keeps,
                Heading::Week,
                Heading::BadDays,
                Heading::Worn,
                Heading::Helpers,
                Heading::ComeBack,
                Heading::Again,
            ],
        };
    }

    public function author(): Author
    {
        return match ($this) {
            self::Review => new ColleagueReport(),
            self::Letter => new LetterReport(),
            self::Discharge => new DischargeReport(),
        };
    }

    /** Where somebody adds their own words first. */
    public function ownWords(): Heading
    {
        return match ($this) {
            self::Review => Heading::Asked,
            self::Letter => Heading::Next,
            self::Discharge => Heading::Keeps,
        };
    }

    /** The client may read it at home. */
    public function isForTheClient(): bool
    {
        return self::Letter === $this;
    }
}

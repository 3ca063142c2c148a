<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Core\Anatomy\ArmPart;
use Symfony\Component\HttpFoundation\InputBag;

/** Which month of a logbook, and what of it. */
final readonly class LogbookFilter
{
    public const KINDS = ['sittings', 'wears', 'visits', 'decisions', 'alerts'];

    /**
     * @param \DateTimeImmutable $month  its first day
     * @param string             $kind   one of KINDS; empty: all
     * @param string             $rungId empty: any exercise
     * @param string             $person staff; empty: anybody
     */
    private function __construct(
        public \DateTimeImmutable $month,
        public string $kind,
        public string $rungId,
        public ?ArmPart $part,
        public string $person,
        public bool $onlySymptoms,
    ) {
    }

    /** @param InputBag<string> $query */
    public static function asked(InputBag $query, \DateTimeImmutable $today): self
    {
        $asked = (string) $query->get('month', '');
        $isMonth = 1 === preg_match('/^20\d\d-(0[1-9]|1[0-2])$/D', $asked);
        $kind = (string) $query->get('kind', '');
        $person = (string) $query->get('person', '');

        return new self(
            new \DateTimeImmutable(
                ($isMonth ? $asked : $today->format('Y-m')).'-01',
                new \DateTimeZone('UTC'),
            ),
            \in_array($kind, self::KINDS, true) ? $kind : '',
            mb_substr(
                (string) $query->get('rung', ''),
                0,
                80,
            ),
            part: ArmPart::tryFrom((string) $query->get(
                'part',
                '',
            )),
            person: 1 === preg_match('/^[0-9a-f-]{36}$/D', $person) ? $person : '',
            onlySymptoms: '1' === $query->get('symptoms'),
        );
    }

    public function lastDay(): \DateTimeImmutable
    {
        return $this->month->modify('last day of this month');
    }

    public function wants(string $kind): bool
    {
        return '' === $this->kind || $kind === $this->kind;
    }

    /** @return array<string, string> as an address carries it, without the month */
    public function query(): array
    {
        return array_filter([
            'kind' => $this->kind,
            'rung' => $this->rungId,
            'part' => $this->part->value ?? '',
            'person' => $this->person,
            'symptoms' => $this->onlySymptoms ? '1' : '',
        ], static fn (string $value): bool => '' !== $value);
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Desk\Demo;

/** Moves the days that stand in words of a story to those of the day on which it is loaded. */
final readonly class DemoDays
{
    private int $days;

    public function __construct(\DateTimeImmutable $told, \DateTimeImmutable $now)
    {
        $this->days = (int) $told->diff(new \DateTimeImmutable(
            $now->format('Y-m-d'),
            new \DateTimeZone('UTC'),
        ))->format('%r%a');
    }

    /**
     * @param mixed $phrase as PhraseFormat keeps it
     *
     * @return array<string, mixed>|string
     */
    public function moved(mixed $phrase): array|string
    {
        if (!\is_array($phrase)) {
            return \is_string($phrase) ? $phrase : '';
        }
        $with = $phrase['with'] ?? null;
        if ('day' === ($phrase['say'] ?? null) && \is_array($with)) {
            $day = new \DateTimeImmutable(\sprintf(
                '%d-%02d-%02d',
                ...array_map(
                    static fn (string $key): int => \is_int($with[$key] ?? null) ? $with[$key] : 1,
                    ['year', 'month', 'day'],
                ),
            ));
            $day = $day->modify(
                \sprintf('%+d days', $this->days),
            );
            $with = [
                'year' => (int) $day->format('Y'),
                'month' => (int) $day->format('n'),
                'day' => (int) $day->format('j'),
            ];

            return ['say' => 'day', 'with' => $with];
        }

        $moved = [];
        foreach ($phrase as $key => $part) {
            $moved[(string) $key] = \is_array($part) ? $this->parts($part) : $part;
        }

        return $moved;
    }

    /**
     * @param array<array-key, mixed> $parts
     *
     * @return array<array-key, mixed>|string
     */
    private function parts(array $parts): array|string
    {
        if (isset($parts['say']) || isset($parts['by'])) {
            return $this->moved($parts);
        }

        return array_map(
            fn (mixed $part): mixed => \is_array($part) ? $this->parts($part) : $part,
            $parts,
        );
    }
}

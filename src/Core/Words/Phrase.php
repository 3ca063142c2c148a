<?php

declare(strict_types=1);

namespace HandGarden\Core\Words;

/**
 * Something the core has to say: a code and what belongs into it. The words stand in `translations/`, so that the
 * core speaks no language.
 */
final readonly class Phrase
{
    private const OWN = 'own';

    /**
     * @param string                                     $code key of the words
     * @param array<string, string|int|float|self|Joined> $with by the name that the words use
     */
    public function __construct(
        public string $code,
        public array $with = [],
    ) {
    }

    /** What somebody wrote: a therapist's note, a text of the catalogue. It is said as it stands. */
    public static function own(string $text): self
    {
        return new self(self::OWN, ['text' => $text]);
    }

    /** A calendar day by its numbers: no zone moves it. */
    public static function day(\DateTimeImmutable $day): self
    {
        return new self('day', [
            'year' => (int) $day->format('Y'),
            'month' => (int) $day->format('n'),
            'day' => (int) $day->format('j'),
        ]);
    }
}

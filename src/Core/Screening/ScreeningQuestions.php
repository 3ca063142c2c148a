<?php

declare(strict_types=1);

namespace HandGarden\Core\Screening;

/** The questions asked before anything is planned, and the rules that stay on screen during all work. */
final readonly class ScreeningQuestions
{
    /** Asks for a change of medicine in the last two weeks. */
    public const MEDICINE_CHANGED = 'medicine_changed';

    /**
     * @param list<Question>                        $questions
     * @param list<array{when: string, do: string}> $stopRules
     * @param list<string>                          $setUpCheck
     */
    public function __construct(
        public array $questions,
        public array $stopRules,
        public string $pullingIsFine,
        public array $setUpCheck,
    ) {
    }

    public function find(string $id): ?Question
    {
        foreach ($this->questions as $question) {
            if ($question->id === $id) {
                return $question;
            }
        }

        return null;
    }
}

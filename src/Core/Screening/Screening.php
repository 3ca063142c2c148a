<?php

declare(strict_types=1);

namespace HandGarden\Core\Screening;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;

/**
 * The answers of one client. An unanswered question counts as a yes wherever a yes would bar or shorten something:
 * it blocks, and says that it was not asked.
 */
final class Screening
{
    public const VALID_DAYS = 90;

    /** @var array<int, array<string, Answer>> by day and question: every exercise asks the same of every question */
    private array $answered = [];

    /** @var array<int, array<string, bool>> by day: what the answers settle */
    private array $settled = [];

    /**
     * @param array<string, array{Answer, \DateTimeImmutable}> $answers    by question id
     * @param \DateTimeImmutable|null                          $injectedOn day of the last tone injection, where
     *     it is known
     * @param int                                              $validDays  for which an answer counts
     */
    public function __construct(
        public readonly ScreeningQuestions $questions,
        private readonly array $answers,
        private readonly ?\DateTimeImmutable $injectedOn = null,
        private readonly int $validDays = self::VALID_DAYS,
        private readonly DoseCaps $caps = new DoseCaps(),
    ) {
    }

    public function answer(string $questionId, \DateTimeImmutable $today): Answer
    {
        return $this->on($today)[$questionId] ?? $this->answerOn($questionId, $today);
    }

    /** @return array<string, Answer> by question */
    private function on(\DateTimeImmutable $today): array
    {
        $day = $today->getTimestamp();
        if (!isset($this->answered[$day])) {
            $this->answered[$day] = [];
            foreach ($this->questions->questions as $question) {
                $this->answered[$day][$question->id] = $this->answerOn($question->id, $today);
            }
        }

        return $this->answered[$day];
    }

    private function answerOn(string $questionId, \DateTimeImmutable $today): Answer
    {
        [$answer, $on] = $this->answers[$questionId] ?? [Answer::NotAsked, $today];
        $days = null === $this->injectedOn
            ? null
            : $this->questions->find($questionId)?->daysAfterInjection;
        if (null !== $this->injectedOn && null !== $days) {
            $until = $this->injectedOn->modify('+'.$days.' days');
            if ($until >= $today) {
                return Answer::Yes;
            }
            if (Answer::Yes !== $answer || $on <= $until) {
                return Answer::No; // a yes given after that day speaks of a newer injection whose day nobody wrote down
            }
        }

        return $on->modify('+'.$this->validDays.' days') < $today ? Answer::NotAsked : $answer;
    }

    /** @return list<ScreeningBlock> everything that keeps the rung out; empty: nothing does */
    public function blocks(
        Rung $rung,
        string $strand,
        bool $supervised,
        \DateTimeImmutable $today,
    ): array {
        $blocks = [];
        $answers = $this->on($today);
        foreach ($this->questions->questions as $question) {
            $answer = $answers[$question->id];
            if (Answer::No !== $answer && $question->bars->bars($rung, $strand, $supervised)) {
                $blocks[] = new ScreeningBlock($question, $answer);
            }
        }

        return $blocks;
    }

    /** Longest hold that is allowed for the rung, in seconds; null: no limit from screening. */
    public function maxHoldSeconds(Rung $rung, \DateTimeImmutable $today): ?int
    {
        $limit = null;
        foreach ($this->questions->questions as $question) {
            $applies = null !== $question->maxHoldSeconds
                && Answer::No !== $this->answer($question->id, $today)
                && (
                    [] === $question->shortensClasses
                    || \in_array($rung->load->class, $question->shortensClasses, true)
                );
            if ($applies) {
                $limit = min($limit ?? \PHP_INT_MAX, $question->maxHoldSeconds);
            }
        }

        return $limit;
    }

    /** The dose as it may be given: no longer hold than the answers allow, and within what the clinic gives at most. */
    public function shortened(Dose $dose, Rung $rung, \DateTimeImmutable $today): Dose
    {
        $limit = $this->maxHoldSeconds($rung, $today);

        $capped = $this->caps->cap($dose, $rung);

        return null !== $limit && $capped->holdSeconds > $limit ? $capped->withHold($limit) : $capped;
    }

    /** What an answer settles about a fact; null when nothing. */
    public function fact(string $code, ?string $argument, \DateTimeImmutable $today): ?bool
    {
        $name = null === $argument ? $code : $code.'('.$argument.')';

        return ($this->settled[$today->getTimestamp()] ??= $this->settledOn($today))[$name] ?? null;
    }

    /** @return array<string, bool> by fact; of two questions that settle the same one the first counts */
    private function settledOn(\DateTimeImmutable $today): array
    {
        $settled = [];
        foreach ($this->questions->questions as $question) {
            $settled += match ($this->answer($question->id, $today)) {
                Answer::Yes => $question->gives + $question->givesOnYes,
                Answer::No => array_map(static fn (bool $gives): bool => !$gives, $question->gives),
                Answer::NotAsked => [],
            };
        }

        return $settled;
    }

    /** The day of a yes that settles a fact; null: there is none. */
    public function yesOn(
        string $code,
        ?string $argument,
        \DateTimeImmutable $today,
    ): ?\DateTimeImmutable {
        $name = null === $argument ? $code : $code.'('.$argument.')';
        foreach ($this->questions->questions as $question) {
            if (
                (isset($question->gives[$name]) || isset($question->givesOnYes[$name]))
                && Answer::Yes === $this->answer($question->id, $today)
            ) {
                return $this->answers[$question->id][1] ?? $today;
            }
        }

        return null;
    }

    /** @return list<Question> answered yes, most serious first as the questions are ordered */
    public function found(\DateTimeImmutable $today): array
    {
        return array_values(
            array_filter(
                $this->questions->questions,
                fn (Question $q): bool => Answer::Yes === $this->answer($q->id, $today),
            ),
        );
    }

    /** @return list<Question> */
    public function unanswered(\DateTimeImmutable $today): array
    {
        return array_values(
            array_filter(
                $this->questions->questions,
                fn (Question $q): bool => Answer::NotAsked === $this->answer($q->id, $today),
            ),
        );
    }
}

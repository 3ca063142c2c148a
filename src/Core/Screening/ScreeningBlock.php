<?php

declare(strict_types=1);

namespace HandGarden\Core\Screening;

final readonly class ScreeningBlock
{
    public function __construct(
        public Question $question,
        public Answer $answer,
    ) {
    }

    public function text(): string
    {
        return Answer::NotAsked === $this->answer
            ? 'Not asked yet: '.$this->question->text
            : $this->question->consequence;
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Core\Screening;

use HandGarden\Core\Words\Phrase;

final readonly class ScreeningBlock
{
    public function __construct(
        public Question $question,
        public Answer $answer,
    ) {
    }

    public function words(): Phrase
    {
        return Answer::NotAsked === $this->answer
            ? new Phrase('screening.not_asked', ['question' => $this->question->text])
            : Phrase::own($this->question->consequence);
    }
}

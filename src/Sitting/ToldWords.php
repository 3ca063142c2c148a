<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\DoseWords;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\Told;
use HandGarden\Web\Wording;

/** What was told of an exercise, in words. */
final readonly class ToldWords
{
    public function __construct(
        private Wording $wording,
    ) {
    }

    /** @return list<string> the outcome first; what was not told is not said */
    public function of(Told $told): array
    {
        $said = [$this->wording->word('outcome.'.$told->outcome->value)];
        foreach (
            [
                'reason' => null === $told->reason ? null : $this->wording->word(
                    'skip.'.$told->reason->value,
                ),
                'repetitions' => $told->repetitions,
                'hold' => $told->holdSeconds,
                'errors' => $told->errors,
                'drops' => $told->drops,
                'load' => $told->loadKilograms,
                'worn' => $told->wornMinutes,
                'skin' => $this->choice('skin', $told->skin?->value),
                'felt' => $this->choice('felt', $told->felt?->value),
                'tone' => $this->choice('tone', $told->tone?->value),
                'help' => $this->choice('help', $told->help?->value),
                'fatigue' => $told->fatigue,
            ] as $what => $value
        ) {
            if (null !== $value) {
                $said[] = $this->wording->word('told.'.$what, ['value' => $value]);
            }
        }

        return array_values(array_filter([
            ...$said,
            $this->pain($told),
            ...$this->levels($told),
            ...$this->noticed($told),
            implode(', ', array_map(
                fn (Compensation $c): string => $this->wording->word('compensation.'.$c->value),
                $told->compensations,
            )),
            $told->newTingling ? $this->wording->word('told.tingling') : '',
            $told->systemic ? $this->wording->word('told.systemic') : '',
            $told->hurtLater ? $this->wording->word('told.hurt_later') : '',
            $told->note,
        ], static fn (string $words): bool => '' !== $words));
    }

    private function choice(string $what, ?string $value): ?string
    {
        return null === $value ? null : $this->wording->word($what.'.'.$value);
    }

    private function pain(Told $told): string
    {
        return null === $told->painAfter ? '' : $this->wording->word('told.pain', [
            'before' => $told->painBefore ?? '?',
            'after' => $told->painAfter,
        ]);
    }

    /** @return list<string> */
    private function levels(Told $told): array
    {
        $said = [];
        foreach ($told->levels?->all() ?? [] as $code => $level) {
            $said[] = $this->wording->say(DoseWords::level(Challenge::from($code), $level));
        }

        return $said;
    }

    /** @return list<string> */
    private function noticed(Told $told): array
    {
        $said = [];
        foreach ($told->noticed as $question => $answer) {
            $said[] = $this->wording->word('told.noticed', [
                'question' => str_replace('-', ' ', $question),
                'answer' => $this->wording->word('noticed.'.$answer->value),
            ]);
        }

        return $said;
    }
}

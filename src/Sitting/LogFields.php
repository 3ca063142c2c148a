<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Core\Cue\Counted;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\Help;
use HandGarden\Core\Progress\Skin;
use HandGarden\Core\Progress\ToneAfter;
use HandGarden\Core\Routine\Item;
use HandGarden\Web\Wording;

/**
 * What may be told of an exercise after it was played: first what its progress cannot do without, the rest when
 * wanted. Their names are those of the log line.
 */
final readonly class LogFields
{
    private const MOST = ['hold' => 600, 'worn' => 720];

    public function __construct(
        private Wording $wording,
    ) {
    }

    /**
     * @return list<array<string, mixed>> name, words, kind (number, scale, choice, many or text), needed, options by
     *     value, what was planned, the most and the step of a number
     */
    public function of(Item $item): array
    {
        $asks = AskedOfItem::of($item->rung, $item->dose);
        $count = $item->rung->walk->count;
        $fields = [
            self::number(
                'repetitions',
                $this->wording->word(
                    'counted.'.$asks->count,
                    ['of' => $item->dose->repetitions],
                ),
                $asks->counts,
                $item->dose->repetitions,
            ),
            ...self::where(
                $asks->errors || $asks->mayErr,
                $this->counted('errors', $asks->errors),
            ),
            ...self::where($asks->mayDrop, $this->counted('drops', false)),
            ...self::where($item->dose->holdSeconds > 0, $this->hold($item)),
            ...$this->levels($asks),
            ...self::where($asks->load, $this->load($item)),
            ...self::where(
                $count->has(Counted::Minutes),
                $this->counted('worn', false),
            ),
            ...self::where(
                $count->has(Counted::Skin),
                $this->choice('skin', Skin::cases()),
            ),
            $this->plain('pain_after', 'scale'),
            $this->choice('felt', Felt::cases()),
            $this->choice('tone', ToneAfter::cases()),
            $this->choice('help', Help::cases()),
            ['kind' => 'many'] + $this->choice(
                'compensations',
                Compensation::cases(),
                'compensation',
            ),
            $this->plain('fatigue', 'scale'),
            $this->plain('note', 'text'),
        ];
        $isNeeded = static fn (array $field): bool => true === ($field['needed'] ?? false);

        return [
            ...array_filter($fields, $isNeeded),
            ...array_filter($fields, static fn (array $field): bool => !$isNeeded($field)),
        ];
    }

    /**
     * @param array<string, mixed> $field
     *
     * @return list<array<string, mixed>> the field, or none
     */
    private static function where(bool $isAsked, array $field): array
    {
        return $isAsked ? [$field] : [];
    }

    /** @return array<string, mixed> */
    private function plain(string $name, string $kind): array
    {
        return [
            'name' => $name,
            'words' => $this->wording->word('log.'.$name),
            'kind' => $kind,
        ];
    }

    /** @return array<string, mixed> */
    private function hold(Item $item): array
    {
        return self::number(
            'hold',
            $this->wording->word('counted.hold'),
            false,
            $item->dose->holdSeconds,
        );
    }

    /** @return array<string, mixed> */
    private function counted(string $name, bool $isNeeded): array
    {
        return self::number($name, $this->wording->word('counted.'.$name), $isNeeded, null);
    }

    /** @return array<string, mixed> */
    private static function number(string $name, string $words, bool $isNeeded, ?int $planned): array
    {
        return [
            'name' => $name,
            'words' => $words,
            'kind' => 'number',
            'needed' => $isNeeded,
            'planned' => $planned,
            'most' => self::MOST[$name] ?? 200,
            'step' => 1,
        ];
    }

    /** @return array<string, mixed> */
    private function load(Item $item): array
    {
        return [
            'name' => 'load',
            'words' => $this->wording->word('counted.load'),
            'kind' => 'number',
            'planned' => $item->dose->loadKilograms,
            'most' => 50,
            'step' => 0.05,
        ];
    }

    /**
     * @param list<\BackedEnum> $cases
     *
     * @return array<string, mixed>
     */
    private function choice(string $name, array $cases, ?string $words = null): array
    {
        $options = [];
        foreach ($cases as $case) {
            $code = ($words ?? $name).'.'.$case->value;
            $options[(string) $case->value] = $this->wording->word($code);
        }

        return [
            'name' => $name,
            'words' => $this->wording->word('log.'.$name),
            'kind' => 'choice',
            'options' => $options,
        ];
    }

    /** @return list<array<string, mixed>> */
    private function levels(AskedOfItem $asks): array
    {
        $fields = [];
        foreach ($asks->levels as $code => $choice) {
            $fields[] = [
                'name' => 'levels.'.$code,
                'words' => $this->wording->word('counted.'.$code),
                'kind' => 'choice',
                'planned' => $choice['now'],
                'options' => array_map($this->wording->say(...), $choice['levels']),
            ];
        }

        return $fields;
    }
}

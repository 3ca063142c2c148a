<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Sitting\StopTable;

/** What is told before a sitting at home: one question a screen, each with its answer as it was given. */
final readonly class BegunFormat
{
    private const CHOICES = [
        'with' => ['alone', 'helper', 'somebody-else'],
        'list' => ['home', 'other', 'short', 'none'],
        'trouble' => ['no', 'looked-through'],
        'hurt_later' => ['yes', 'no', 'not-sure'],
        'medicine' => ['on', 'off', 'not-sure'],
        'skin' => ['whole', 'broken'],
        'pain_at' => ['shoulder', 'elbow', 'forearm', 'wrist', 'thumb', 'fingers'],
    ];
    private const NUMBERS = ['pain_before', 'tired'];
    private const MOST_OUT = 40;

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidData
     */
    public static function read(Node $body): array
    {
        $body->only('out', 'helper', ...array_keys(self::CHOICES), ...self::NUMBERS);
        $told = [];
        foreach (self::CHOICES as $field => $choices) {
            $answer = $body->optional($field)?->string();
            if (null !== $answer && !\in_array($answer, $choices, true)) {
                throw $body->get($field)->fail('is none of '.implode(', ', $choices));
            }
            $told[$field] = $answer;
        }
        foreach (self::NUMBERS as $field) {
            $told[$field] = $body->optional($field)?->int(0, StopTable::MOST);
        }
        $helper = $body->optional('helper')?->string();
        if (null !== $helper && 1 !== preg_match('/^[0-9a-f-]{36}$/D', $helper)) {
            throw $body->get('helper')->fail('is no id');
        }
        $told['helper'] = $helper;
        $out = $body->optional('out')?->strings() ?? [];
        $told['out'] = [] === $out ? null : \array_slice($out, 0, self::MOST_OUT);

        return array_filter($told, static fn (mixed $value): bool => null !== $value);
    }
}

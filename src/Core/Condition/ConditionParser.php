<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\Measure\ToneGrade;

/**
 * Grammar: atoms joined by `and`, `or`, `not` and brackets; `and` binds tighter than `or`. An atom is `code` or
 * `code(argument)`, with or without a side prefix (`other.`, `both.`, `writing_hand.`, `knife_hand.`), alone or with
 * `>=`, `<=`, `<`, `>`, `=` and a value.
 */
final class ConditionParser
{
    private const ATOM =
        '/\G(?:(other|both|writing_hand|knife_hand)\.)?([a-z][a-z0-9_]*)(?:\(([^()\s]+)\))?'
        .'(?:\s*(>=|<=|<|>|=)\s*(-?[0-9]+(?:\.[0-9]+)?\+?|[a-z]+))?/';

    private string $text = '';
    private int $at = 0;

    /** @param list<string>|null $codes the vocabulary; null accepts every code */
    public function __construct(
        private readonly ?array $codes = null,
    ) {
    }

    /** @throws UnreadableCondition */
    public function parse(string $text): Condition
    {
        $this->text = trim($text);
        $this->at = 0;
        $condition = $this->anyOf();
        if ($this->at < \strlen($this->text)) {
            throw UnreadableCondition::at($this->text, $this->at, '"and", "or" or the end');
        }

        return $condition;
    }

    private function anyOf(): Condition
    {
        $parts = [$this->allOf()];
        while ($this->takes('or')) {
            $parts[] = $this->allOf();
        }

        return 1 === \count($parts) ? $parts[0] : new AnyOf($parts);
    }

    private function allOf(): Condition
    {
        $parts = [$this->one()];
        while ($this->takes('and')) {
            $parts[] = $this->one();
        }

        return 1 === \count($parts) ? $parts[0] : new AllOf($parts);
    }

    private function one(): Condition
    {
        if ($this->takes('not')) {
            return new Not($this->one());
        }
        if ($this->takes('(')) {
            $condition = $this->anyOf();
            $this->takes(')') || throw UnreadableCondition::at($this->text, $this->at, '")"');

            return $condition;
        }

        return $this->atom();
    }

    private function atom(): Atom
    {
        if (
            1 !== preg_match(self::ATOM, $this->text, $m, \PREG_UNMATCHED_AS_NULL, offset: $this->at)
            || \in_array($m[2], ['and', 'or', 'not'], true)
        ) {
            throw UnreadableCondition::at($this->text, $this->at, 'an atom');
        }
        if (null !== $this->codes && !\in_array($m[2], $this->codes, true)) {
            throw UnreadableCondition::unknownCode($this->text, $m[2]);
        }
        $this->at += \strlen($m[0]);
        $this->skipSpace();
        $wantedText = $m[5] ?? '';

        return new Atom(
            SidePrefix::from($m[1] ?? ''),
            $m[2],
            $m[3] ?? null,
            null === ($m[4] ?? null) ? null : Comparison::from($m[4]),
            wanted: null === ($m[5] ?? null) ? null : self::value($wantedText),
            wantedText: $wantedText,
        );
    }

    private static function value(string $text): float|string
    {
        return match (true) {
            str_ends_with($text, '+') => ToneGrade::from($text)->rank(),
            is_numeric($text) => (float) $text,
            default => $text,
        };
    }

    private function takes(string $token): bool
    {
        $pattern = ctype_alpha($token)
            ? '/\G'.$token.'(?=[\s(])/'
            : '/\G'.preg_quote($token, '/').'/';
        if (1 !== preg_match($pattern, $this->text, $m, 0, offset: $this->at)) {
            return false;
        }
        $this->at += \strlen($token);
        $this->skipSpace();

        return true;
    }

    private function skipSpace(): void
    {
        $this->at += strspn($this->text, " \t\n", $this->at);
    }
}

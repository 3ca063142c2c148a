<?php

declare(strict_types=1);

namespace HandGarden\Core\Helping;

/** What one helper told of themselves: asked every two weeks, and somebody talks with them when it is much. */
final readonly class Burden
{
    public const ASK_DAYS = 14;
    /** So often, one after the other, before pain is talked about. */
    private const PAINS = 2;

    /** @param list<array{managing: Managing, hurts: bool}> $told newest first, since it was last talked about */
    public function __construct(
        private array $told,
    ) {
    }

    public function wantsTalk(): bool
    {
        $last = \array_slice($this->told, 0, self::PAINS);
        $hurt = array_filter($last, static fn (array $one): bool => $one['hurts']);

        return Managing::TooMuch === ($this->told[0]['managing'] ?? null) || \count($hurt) >= self::PAINS;
    }

    /** @param ?\DateTimeImmutable $last day on which they were asked, also before it was talked about; null: never */
    public static function isAskedOn(?\DateTimeImmutable $last, \DateTimeImmutable $today): bool
    {
        return null === $last || $last->modify('+'.self::ASK_DAYS.' days') <= $today;
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** One thing that is kept of a client, by which a sentence can be looked up. */
final readonly class Fact
{
    public function __construct(
        public FactKind $kind,
        public string $id,
    ) {
    }

    /** @param string $key `code|argument|mode|side` */
    public static function ofMeasure(string $key, \DateTimeImmutable $on): self
    {
        return new self(FactKind::Reading, $key.'@'.$on->format('Y-m-d'));
    }

    public function text(): string
    {
        return $this->kind->value.':'.$this->id;
    }

    public static function fromText(string $text): ?self
    {
        $parts = explode(':', $text, 2);
        $kind = FactKind::tryFrom($parts[0]);

        return null === $kind || '' === ($parts[1] ?? '') ? null : new self($kind, $parts[1]);
    }
}

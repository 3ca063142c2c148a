<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/**
 * What reaches the clinic long after a sitting began is kept, and counts only once a therapist has looked. Symptoms in
 * it hold and alert at once all the same. So it is with what comes from a device that was taken out.
 */
final readonly class Aside
{
    public const DAYS = 14;

    /**
     * @param ?\DateTimeImmutable $until  what came up to then counts; null: nothing came yet
     * @param ?\DateTimeImmutable $looked when a therapist looked last
     * @param ?\DateTimeImmutable $out    from when on the device was no longer trusted; null: it is
     */
    private function __construct(
        private ?\DateTimeImmutable $until,
        private ?\DateTimeImmutable $looked,
        private ?\DateTimeImmutable $out,
    ) {
    }

    /**
     * @param list<\DateTimeImmutable> $received when each event of the sitting came
     * @param list<\DateTimeImmutable> $looked   when a therapist looked
     * @param list<\DateTimeImmutable> $out      from when on the device was no longer trusted
     */
    public static function of(array $received, array $looked, array $out = []): self
    {
        return new self(
            [] === $received ? null : min($received)->modify('+'.self::DAYS.' days'),
            [] === $looked ? null : max($looked),
            [] === $out ? null : min($out),
        );
    }

    /** Whether what came then is kept aside. */
    public function holds(\DateTimeImmutable $received): bool
    {
        $isLate = (null !== $this->until && $received > $this->until)
            || (null !== $this->out && $received >= $this->out);

        return $isLate && (null === $this->looked || $received > $this->looked);
    }
}

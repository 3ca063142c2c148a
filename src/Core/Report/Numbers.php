<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** Whom to call. */
final readonly class Numbers
{
    /** @param string $clinicPhone empty: the clinic gives none */
    public function __construct(
        public string $clinicId,
        public string $clinicPhone,
        public string $emergency,
    ) {
    }

    /** As the words choose by it. */
    public function phoneWord(): string
    {
        return '' === $this->clinicPhone ? 'none' : $this->clinicPhone;
    }

    public function fact(): Fact
    {
        return new Fact(FactKind::Clinic, $this->clinicId);
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Client;

use HandGarden\Core\Data\Dates;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** A day of the past in a form; nothing may stand there as well. */
final class TypedDay
{
    /** @param string $future what is said of a day that lies ahead */
    public static function check(
        ExecutionContextInterface $context,
        string $field,
        string $text,
        string $future,
    ): void {
        $day = Dates::day($text);
        $problem = match (true) {
            '' === $text => '',
            null === $day => \sprintf('"%s" is not a day written as YYYY-MM-DD.', $text),
            $day > new \DateTimeImmutable('tomorrow') => $future,
            default => '',
        };
        if ('' !== $problem) {
            $context->buildViolation($problem)->atPath($field)->addViolation();
        }
    }
}

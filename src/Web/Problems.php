<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Symfony\Component\Validator\ConstraintViolationListInterface;

/** What is wrong with a form, by field, the first complaint of each. */
final class Problems
{
    /**
     * Those fields of which there is something to say.
     *
     * @param array<string, ?string> $problems by field
     *
     * @return array<string, string>
     */
    public static function said(array $problems): array
    {
        return array_filter($problems, static fn (?string $problem): bool => null !== $problem);
    }

    /** @return array<string, string> */
    public static function byField(ConstraintViolationListInterface $violations): array
    {
        $problems = [];
        foreach ($violations as $violation) {
            $field = (string) preg_replace('/^\w+\.|\[.*$/', '', $violation->getPropertyPath());
            $problems[$field] ??= (string) $violation->getMessage();
        }

        return $problems;
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Symfony\Component\Validator\ConstraintViolationListInterface;

/** What is wrong with a form, by field, the first complaint of each. */
final class Problems
{
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

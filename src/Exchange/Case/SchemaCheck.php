<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Case;

use HandGarden\Core\Data\InvalidData;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/** Holds a case against docs/case.schema.json. */
final readonly class SchemaCheck
{
    public function __construct(
        private string $schemaFile,
    ) {
    }

    /** @throws InvalidData naming the place that does not fit */
    public function check(string $json): void
    {
        $validator = new Validator();
        $error = $validator->validate(
            json_decode($json, false, 64),
            (string) file_get_contents($this->schemaFile),
        )->error();
        if (null !== $error) {
            $deepest = self::deepest($error);
            throw InvalidData::at(
                self::path($deepest->data()->fullPath()),
                lcfirst((new ErrorFormatter())->formatErrorMessage($deepest)),
            );
        }
    }

    private static function deepest(ValidationError $error): ValidationError
    {
        /** @var list<ValidationError> $sub */
        $sub = $error->subErrors();

        return [] === $sub ? $error : self::deepest($sub[0]);
    }

    /** @param array<int|string> $parts */
    private static function path(array $parts): string
    {
        $path = '';
        foreach ($parts as $part) {
            $path .= match (true) {
                \is_int($part) => '['.$part.']',
                '' === $path => $part,
                default => '.'.$part,
            };
        }

        return $path;
    }
}

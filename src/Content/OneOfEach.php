<?php

declare(strict_types=1);

namespace HandGarden\Content;

/**
 * Makes equal values one value. What the catalogue says again and again, such as a condition that bars eighty
 * exercises, is then read once and judged once.
 */
final class OneOfEach
{
    /** @var array<string, object> by class and content */
    private array $known = [];

    /** @var \SplObjectStorage<object, object> what each was replaced by */
    private \SplObjectStorage $replaced;

    public function __construct()
    {
        $this->replaced = new \SplObjectStorage();
    }

    /**
     * @template T of object
     *
     * @param T $value readonly, all the way down
     *
     * @return T equal to it
     */
    public function of(object $value): object
    {
        if ($value instanceof \UnitEnum || method_exists($value, '__serialize')) {
            return $value;
        }
        /** @var T $one */
        $one = $this->replaced[$value] ??= $this->known[serialize($value)] ??= $this->made($value);

        return $one;
    }

    private function made(object $value): object
    {
        $class = new \ReflectionClass($value);
        $made = $class->newInstanceWithoutConstructor();
        foreach ($class->getProperties() as $property) {
            if (!$property->isStatic() && $property->isInitialized($value)) {
                $property->setValue($made, $this->within($property->getValue($value)));
            }
        }

        return $made;
    }

    private function within(mixed $value): mixed
    {
        return match (true) {
            \is_array($value) => array_map($this->within(...), $value),
            \is_object($value) => $this->of($value),
            default => $value,
        };
    }
}

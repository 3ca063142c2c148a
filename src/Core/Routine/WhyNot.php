<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/** The rule that keeps a candidate out of a routine, in the order a therapist would ask. */
final readonly class WhyNot
{
    public function __construct(
        private SittingRules $rules,
    ) {
    }

    /**
     * @param list<OptionGroup> $groups
     * @param list<Item>        $chosen
     *
     * @return list<LeftOut>
     */
    public function leftOut(array $groups, array $chosen): array
    {
        $keys = array_map(static fn (Item $i): string => $i->key(), $chosen);
        $out = [];
        foreach ($groups as $group) {
            $missing = array_values(
                array_filter(
                    $group->options[0]->items,
                    static fn (Item $i): bool => !\in_array($i->key(), $keys, true),
                ),
            );
            if ([] !== $missing) {
                $out[] = new LeftOut(
                    Joint::Comma->joining(array_map(self::label(...), $missing)),
                    $this->rules->whyLeftOut($chosen, $missing) ?? new Phrase('left_out.others'),
                );
            }
        }

        return $out;
    }

    private static function label(Item $item): Phrase|string
    {
        return match ($item->hands) {
            Hands::Together, Hands::Each => $item->rung->name,
            Hands::Left, Hands::Right => new Phrase(
                'left_out.item',
                ['item' => $item->rung->name, 'hand' => $item->hands->value],
            ),
        };
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Hands;

/** The rule that keeps a candidate out of a routine, in the order a therapist would ask. */
final readonly class WhyNot
{
    public function __construct(
        private SittingRules $rules,
        private Limits $limits,
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
                $label = implode(
                    ', ',
                    array_map(
                        static fn (Item $i): string => $i->rung->name.(
                            Hands::Together === $i->hands || Hands::Each === $i->hands
                                ? ''
                                : ' ('.$i->hands->value.')'
                        ),
                        $missing,
                    ),
                );
                $out[] = new LeftOut($label, $this->binding($missing, $chosen));
            }
        }

        return $out;
    }

    /**
     * @param non-empty-list<Item> $missing
     * @param list<Item>           $chosen
     */
    private function binding(array $missing, array $chosen): string
    {
        $needs = $this->rules->missingBefore($chosen, $missing[0]);
        $sequence = new Sequence([...$chosen, ...$missing]);
        $over = $sequence->seconds() - $this->limits->seconds();

        return match (true) {
            [] !== $needs => ucfirst($needs[0]),
            $over > 0 => \sprintf(
                'Time: %d:%02d more than the %d minutes',
                intdiv($over, 60),
                $over % 60,
                $this->limits->minutes,
            ),
            $sequence->effort() > $this->limits->effortBudget() => \sprintf(
                'Effort: %.0f of %.0f',
                $sequence->effort(),
                $this->limits->effortBudget(),
            ),
            $sequence->homeItems() > $this->limits->homeItems => \sprintf(
                'Number of items: at most %d at home',
                $this->limits->homeItems,
            ),
            default => 'Others serve the goals better',
        };
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Catalogue\Asks;
use HandGarden\Core\Catalogue\Caution;
use HandGarden\Core\Catalogue\Contact;
use HandGarden\Core\Catalogue\Demands;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Catalogue\WorkKind;
use HandGarden\Core\Condition\Condition;
use HandGarden\Core\Condition\ConditionParser;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;

/** Reads `bars.yaml`: which of its lines hold for a rung, by what the rung does. */
final class BarReader
{
    /** @var array<string, Condition> by text: rungs share them, so that each is judged once a side */
    private array $conditions = [];

    public function __construct(
        private readonly ConditionParser $parser,
        private readonly Node $bars,
    ) {
    }

    /**
     * @param Node $rung as it stands in its ladder file, for what is no demand: gates, class, materials
     *
     * @return list<Caution>
     *
     * @throws InvalidData naming the path in bars.yaml
     */
    public function of(Demands $demands, Node $rung): array
    {
        $found = [];
        foreach ($this->bars->items() as $bar) {
            $bar->only(
                'key',
                'phrase',
                'does',
                'parts',
                'names',
                'contact',
                'asks',
                'gates',
                'classes',
                'materials',
                'does_for',
                'from_intensity',
                'while',
            );
            foreach ($this->conditionsOf($bar, $demands, $rung) as $condition) {
                $found[] = new Caution(
                    $bar->get('phrase')->string(),
                    $condition,
                    $bar->get('key')->string(),
                );
            }
        }

        return $found;
    }

    /** @return list<Condition> one for each part that the bar speaks of, or one in all; none: it does not hold */
    private function conditionsOf(Node $bar, Demands $demands, Node $rung): array
    {
        $does = $bar->optional('does');
        $isChosen = self::isChosen($bar, $demands, $rung);
        if (null === $does) {
            return $isChosen ? [$this->condition($bar->get('while'), null)] : [];
        }
        if ($bar->has('contact') && !$isChosen) {
            return [];
        }
        $only = $bar->optional('parts')?->enums(ArmPart::class) ?? ArmPart::cases();
        $names = $bar->optional('names')?->map() ?? [];
        $conditions = [];
        foreach ($demands->works->parts(...$does->enums(WorkKind::class)) as $part) {
            if (\in_array($part, $only, true)) {
                $name = ($names[$part->value] ?? null)?->string() ?? $part->value;
                $conditions[] = $this->condition($bar->get('while'), $name);
            }
        }

        return $conditions;
    }

    private static function isChosen(Node $bar, Demands $demands, Node $rung): bool
    {
        $intensity = $bar->optional('from_intensity')?->int(1, 5);
        $class = $rung->get('class')->enum(EffortClass::class);

        return [] !== array_filter(
            $bar->optional('contact')?->enums(Contact::class) ?? [],
            $demands->touches(...),
        )
            || [] !== array_filter($bar->optional('asks')?->enums(Asks::class) ?? [], $demands->asks(...))
            || \in_array($class, $bar->optional('classes')?->enums(EffortClass::class) ?? [], true)
            || self::meet($bar->optional('gates'), $rung->optional('gates'))
            || self::meet($bar->optional('materials'), $rung->optional('materials'))
            || [] !== array_uintersect(
                $bar->optional('does_for')?->enums(RungPart::class) ?? [],
                $rung->optional('parts')?->enums(RungPart::class) ?? [],
                static fn (RungPart $a, RungPart $b): int => $a->value <=> $b->value,
            )
            || (null !== $intensity && $rung->get('intensity')->int() >= $intensity);
    }

    private static function meet(?Node $one, ?Node $other): bool
    {
        return [] !== array_intersect(
            $one?->strings() ?? [],
            $other?->strings() ?? [],
        );
    }

    private function condition(Node $while, ?string $part): Condition
    {
        $text = null === $part ? $while->string() : str_replace('(part)', '('.$part.')', $while->string());

        return $this->conditions[$text] ??= CatalogueReader::condition(
            $this->parser,
            Node::root($text, $while->path),
        );
    }
}

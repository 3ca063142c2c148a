<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\CloseUp;
use HandGarden\Core\Catalogue\Picture;
use HandGarden\Core\Catalogue\Still;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Drawing\Mark;
use HandGarden\Core\Drawing\MarkKind;
use HandGarden\Core\Drawing\Marks;
use HandGarden\Core\Drawing\Place;
use HandGarden\Core\Drawing\View;

/**
 * Reads how a rung is drawn: `stills` one by one, or `start` and `end` for two. What stands beside them holds for every
 * still that says nothing else.
 */
final class PictureReader
{
    private const FOR_ALL = ['things', 'others', 'focus', 'marks', 'zones', 'trace', 'ghost', 'from'];
    private const TABLES = ['palm', 'forearm', 'edge'];

    /** @throws InvalidData naming the key */
    public static function read(Node $node): Picture
    {
        $node->only(
            'stills',
            'start',
            'end',
            'via',
            'view',
            'table',
            'tints',
            'crop',
            'room',
            'grounded',
            ...self::FOR_ALL,
        );
        $table = $node->optional('table');
        if (null !== $table && !\in_array($table->string(), self::TABLES, true)) {
            throw $table->fail('expected '.implode(', ', self::TABLES));
        }

        return new Picture(
            $node->has('stills') ? self::stills($node) : self::startAndEnd($node),
            self::view($node->get('view')),
            $table?->string(),
            self::tints($node),
            crop: self::places($node->optional('crop')),
            cropMillimetres: $node->optional('room')?->float(5, 200) ?? 26.0,
            isGrounded: $node->optional('grounded')?->bool() ?? false,
        );
    }

    /** @return array<string, string> */
    private static function tints(Node $node): array
    {
        return array_map(
            static fn (Node $tint): string => $tint->string(),
            $node->optional('tints')?->map() ?? [],
        );
    }

    private static function view(Node $node): View
    {
        return $node->enum(View::class);
    }

    /** @return non-empty-list<Still> */
    private static function stills(Node $picture): array
    {
        $stills = [];
        foreach ($picture->get('stills')->items() as $nth => $node) {
            $stills[] = self::still($node, $picture, $nth);
        }

        return [] === $stills ? throw $picture->get('stills')->fail('one still or more') : $stills;
    }

    private static function still(Node $node, Node $picture, int $nth): Still
    {
        $node->only('pose', 'via', 'unit', 'telling', 'closeup', 'tints', 'imagined', ...self::FOR_ALL);
        $of = static fn (string $key): ?Node => $node->optional($key) ?? $picture->optional($key);
        $closeUp = $node->optional('closeup');

        return new Still(
            $node->get('pose')->string(),
            $node->optional('via')?->strings() ?? [],
            self::names($of('things')),
            self::names($of('others')),
            focus: self::names($of('focus')),
            marks: self::marks($of('marks')),
            zones: self::orNone($of('zones')),
            from: 0 === $nth ? null : $of('from')?->int(0, $nth - 1) ?? $nth - 1,
            withGhost: $of('ghost')?->bool() ?? true,
            trace: self::orNone($of('trace')),
            unit: $node->optional('unit')?->scalarText(),
            isTelling: $node->optional('telling')?->bool() ?? false,
            closeUp: null === $closeUp ? null : self::closeUp($closeUp),
            tints: self::tints($node),
            imagined: $node->optional('imagined')?->string(),
        );
    }

    private static function closeUp(Node $node): CloseUp
    {
        $node->only('pose', 'view', 'crop', 'things', 'others', 'focus', 'marks', 'zones', 'tints');

        return new CloseUp(
            new Still(
                $node->get('pose')->string(),
                things: self::names($node->optional('things')),
                others: self::names($node->optional('others')),
                focus: self::names($node->optional('focus')),
                marks: self::marks($node->optional('marks')),
                zones: $node->optional('zones')?->string(),
                tints: self::tints($node),
            ),
            self::view($node->get('view')),
            self::places($node->optional('crop')),
        );
    }

    /** @return array{Still, Still} */
    private static function startAndEnd(Node $node): array
    {
        $of = static fn (string $key, string $which): ?Node => self::isPair($node->optional($key))
            ? $node->get($key)->optional($which)
            : $node->optional($key);
        $focus = self::names($node->optional('focus'));

        return [
            new Still(
                $node->get('start')->string(),
                things: self::names($of('things', 'start')),
                others: self::names($of('others', 'start')),
                focus: $focus,
            ),
            new Still(
                $node->get('end')->string(),
                $node->optional('via')?->strings() ?? [],
                self::names($of('things', 'end')),
                self::names($of('others', 'end')),
                focus: $focus,
                marks: self::marks($node->optional('marks')),
                zones: self::orNone($node->optional('zones')),
                from: 0,
                withGhost: $node->optional('ghost')?->bool() ?? true,
                trace: self::orNone($node->get('trace')),
            ),
        ];
    }

    private static function isPair(?Node $node): bool
    {
        return null !== $node && \is_array($node->raw()) && !array_is_list($node->raw());
    }

    /** `none` takes away what holds for all stills. */
    private static function orNone(?Node $node): ?string
    {
        $name = $node?->string();

        return 'none' === $name ? null : $name;
    }

    /** @return list<string> one name or a list of names */
    private static function names(?Node $node): array
    {
        return match (true) {
            null === $node => [],
            \is_string($node->raw()) => [$node->string()],
            default => $node->strings(),
        };
    }

    /** @return list<Place> */
    private static function places(?Node $node): array
    {
        return array_map(self::place(...), $node?->items() ?? []);
    }

    private static function place(Node $node): Place
    {
        return \is_string($node->raw()) ? new Place($node->string()) : DrawingReader::place($node);
    }

    /** @return list<Mark> */
    private static function marks(?Node $node): array
    {
        return array_map(self::mark(...), $node?->items() ?? []);
    }

    private static function mark(Node $node): Mark
    {
        $node->only('kind', 'at', 'size', 'text');
        $kind = $node->get('kind')->enum(MarkKind::class);
        $places = self::places($node->get('at'));
        if ([] === $places || \count($places) < $kind->fewestPlaces()) {
            throw $node->get('at')->fail(
                \sprintf(
                    '%s needs %d places',
                    $kind->value,
                    $kind->fewestPlaces(),
                ),
            );
        }
        $text = $node->optional('text');
        if (null !== $text && !\in_array($text->scalarText(), Marks::figures(), true)) {
            throw $text->fail('expected one of '.implode(', ', Marks::figures()));
        }

        return new Mark(
            $kind,
            $places,
            $node->optional('size')?->float(1, 200),
            $text?->scalarText() ?? '',
        );
    }
}

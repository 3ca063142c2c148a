<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Core\Data\Node;
use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\Heading;

/** Lines of a report as they are kept: the words that were read, and the ids of what they rest on. */
final class ReportFormat
{
    /**
     * @param list<Line> $lines
     *
     * @return list<array<string, mixed>>
     */
    public static function write(array $lines): array
    {
        return array_map(static fn (Line $line): array => [
            'heading' => $line->heading->value,
            'text' => $line->text,
            'facts' => array_map(static fn (Fact $f): string => $f->text(), $line->facts),
            'owed' => $line->isOwed,
            'cells' => $line->cells,
            'then' => $line->isOfThen,
            'read' => $line->readBy,
        ], $lines);
    }

    /** @return list<Line> in the order of the headings */
    public static function read(Report $report): array
    {
        $lines = [];
        foreach ($report->lines as $kept) {
            $node = Node::root($kept);
            $lines[] = new Line(
                $node->get('heading')->enum(Heading::class),
                $node->get('text')->string(),
                self::facts($kept['facts'] ?? null),
                $node->get('owed')->bool(),
                cells: $node->optional('cells')?->strings() ?? [],
                isOfThen: $node->optional('then')?->bool() ?? false,
                readBy: $node->optional('read')?->strings() ?? [],
            );
        }
        $order = array_flip(array_map(
            static fn (Heading $h): string => $h->value,
            $report->kind->headings(),
        ));
        usort(
            $lines,
            static fn (Line $a, Line $b): int => ($order[$a->heading->value] ?? \PHP_INT_MAX)
                <=> ($order[$b->heading->value] ?? \PHP_INT_MAX),
        );

        return $lines;
    }

    /**
     * A line of two years rests on hundreds: they are read as they are, not one by one with their paths.
     *
     * @return list<Fact>
     */
    private static function facts(mixed $kept): array
    {
        $facts = [];
        foreach (\is_array($kept) ? $kept : [] as $text) {
            $fact = \is_string($text) ? Fact::fromText($text) : null;
            if (null !== $fact) {
                $facts[] = $fact;
            }
        }

        return $facts;
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Content\Format\DoseFormat;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Routine\Kept;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;

/** Items of a routine as they are kept in the database. */
final readonly class RoutineFormat
{
    /** @param array<string, Dose> $doses of record, by item key */
    public function __construct(
        private Catalogue $catalogue,
        private array $doses = [],
    ) {
    }

    /**
     * @param list<Item> $items
     *
     * @return list<array<string, mixed>>
     */
    public static function write(array $items): array
    {
        return array_map(
            static fn (Item $i): array => [
                'rung' => $i->rung->id,
                'hands' => $i->hands->value,
                'amount' => $i->rung->dosing->amountOf($i->dose)->number,
                'reason' => PhraseFormat::write($i->reason),
                'block' => $i->block,
                'variant' => null === $i->variant ? null : PhraseFormat::write($i->variant),
                'kept' => null === $i->kept
                    ? null
                    : [
                        'note' => $i->kept->note,
                        'after' => $i->kept->after,
                        'forced' => $i->kept->forced,
                        'opened' => $i->kept->openedOn?->format('Y-m-d'),
                    ],
                'pause' => $i->isPause,
            ],
            $items,
        );
    }

    /** @return array<string, mixed> an item with its dose, as it is kept in a sitting: that one never changes again */
    public static function planned(Item $item): array
    {
        return self::write([$item])[0] + ['dose' => DoseFormat::write($item->dose)];
    }

    /**
     * @param list<array<string, mixed>> $kept
     *
     * @return list<Item> without items that the catalogue no longer has
     *
     * @throws InvalidData
     */
    public function read(array $kept): array
    {
        $items = [];
        foreach (Node::root($kept, 'items')->items() as $node) {
            $id = $node->get('rung')->string();
            if (!$this->catalogue->hasRung($id)) {
                continue;
            }
            $rung = $this->catalogue->rung($id);
            $hands = $node->get('hands')->enum(Hands::class);
            $items[] = new Item(
                $rung,
                $hands,
                $this->dose($node, $rung, $hands),
                PhraseFormat::read($node->get('reason')),
                block: $node->optional('block')?->string(),
                variant: self::variant($node->optional('variant')),
                kept: self::kept($node),
                isPause: $node->optional('pause')?->bool() ?? false,
            );
        }

        return $items;
    }

    private static function variant(?Node $node): ?Phrase
    {
        return null === $node ? null : PhraseFormat::read($node);
    }

    /** A sitting and a routine of earlier days bring their dose with them; else it is the one of record. */
    private function dose(Node $node, Rung $rung, Hands $hands): Dose
    {
        $ofRecord = $this->doses[(new ItemKey($rung->id, $hands))->text()] ?? $rung->dosing->start;
        $dose = $node->optional('dose');
        if (null !== $dose) {
            return DoseFormat::read($dose, $ofRecord);
        }
        $amount = $node->optional('amount')?->int();
        if (null === $amount) { // as it was kept before items of one time came in longer ones
            return $rung->dosing->today(
                $ofRecord->withSets($node->optional('sets')?->int() ?? $ofRecord->sets),
            );
        }

        return $rung->dosing->with($ofRecord, $rung->dosing->amounts->nearest($amount));
    }

    /** Before items could be kept in, a note alone said that a therapist had added one. */
    private static function kept(Node $node): ?Kept
    {
        $kept = $node->optional('kept');
        $note = $node->optional('note')?->string();

        return match (true) {
            null !== $kept => new Kept(
                $kept->get('note')->string(),
                $kept->optional('after')?->string(),
                $kept->optional('forced')?->string() ?? '',
                $kept->optional('opened')?->date(),
            ),
            null !== $note => new Kept($note),
            default => null,
        };
    }
}

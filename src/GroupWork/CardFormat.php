<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Core\Data\Node;
use HandGarden\Core\GroupWork\PlaceItem;
use HandGarden\Core\GroupWork\Version;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;

/** A card as it is kept: what each exercise of the wall was at this place, and why. */
final class CardFormat
{
    /**
     * @param list<PlaceItem> $card
     *
     * @return list<array{version: string, why: ?array<string, mixed>}>
     */
    public static function write(array $card): array
    {
        return array_map(static fn (PlaceItem $one): array => [
            'version' => $one->version->value,
            'why' => null === $one->why ? null : PhraseFormat::write($one->why),
        ], $card);
    }

    /**
     * @param list<array<string, mixed>> $kept
     *
     * @return list<array{version: Version, why: ?Phrase}>
     */
    public static function read(array $kept): array
    {
        return array_map(static function (array $one): array {
            $node = Node::root($one);
            $why = $node->optional('why');

            return [
                'version' => $node->get('version')->enum(Version::class),
                'why' => null === $why ? null : PhraseFormat::read($why),
            ];
        }, $kept);
    }
}

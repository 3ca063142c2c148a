<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Cue\Counted;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\Noticed;
use HandGarden\Core\Progress\Unlike;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Core\Sitting\Sign;
use HandGarden\Core\Sitting\StopTable;
use HandGarden\Core\Sitting\Wrong;

/** What an event of a sitting carries, by its kind. */
final readonly class EventFormat
{
    private const MOST_COUNTED = 5000;
    private const NOTE_LETTERS = 2000;
    private const WORSE = ['yes' => true, 'no' => false, 'not-sure' => null];

    /**
     * The body of an event, judged field by field, as it is kept.
     *
     * @param ?Rung $rung of its item; null: it is of none, or the catalogue no longer has it
     *
     * @return array<string, mixed>
     *
     * @throws InvalidData
     */
    public static function read(EventKind $kind, Node $body, ?Rung $rung): array
    {
        return match ($kind) {
            EventKind::Line => self::line($body, $rung),
            EventKind::Counted => self::totalsOf($body),
            EventKind::Noticed => array_map(
                static fn (Noticed $n): string => $n->value,
                LogFormat::noticed($body),
            ),
            EventKind::Wrong => self::wrongOf($body),
            EventKind::Marked, EventKind::Tested, EventKind::Positioned => ReleaseFormat::read(
                $kind,
                $body,
            ),
            EventKind::After => self::after($body),
            EventKind::Finished => self::finished($body),
            EventKind::Begun => BegunFormat::read($body),
            EventKind::HurtLater, EventKind::Looked, EventKind::TakenOut, EventKind::Unsigned => throw $body->fail(
                'is not told by a device',
            ),
        };
    }

    /** @param array<string, mixed> $kept of something wrong */
    public static function wrong(array $kept): Wrong
    {
        $strength = $kept['strength'] ?? null;
        $worse = $kept['worse'] ?? null;

        return new Wrong(
            Sign::from(\is_string($kept['sign'] ?? null) ? $kept['sign'] : ''),
            \is_int($strength) ? $strength : null,
            \is_string($worse) ? self::WORSE[$worse] ?? null : null,
        );
    }

    /** The answer to the one question of a sign, as it is told. */
    public static function answer(?bool $isWorse): string
    {
        return (string) array_search($isWorse, self::WORSE, true);
    }

    /**
     * @param array<string, mixed> $kept of running totals
     *
     * @return array<string, int>
     */
    public static function totals(array $kept): array
    {
        return array_filter($kept, is_int(...));
    }

    /** @return array<string, mixed> */
    private static function line(Node $body, ?Rung $rung): array
    {
        $body->only(...LogFormat::BODY);

        return LogFormat::write(
            null === $rung ? LogFormat::told($body) : LogFormat::toldOf(
                $rung,
                $body,
            ),
        );
    }

    /** @return array<string, int> */
    private static function totalsOf(Node $body): array
    {
        $totals = [];
        foreach ($body->map() as $what => $total) {
            $counted = Counted::tryFrom($what) ?? throw $total->fail('is nothing that is counted');
            $totals[$counted->value] = $total->int(0, self::MOST_COUNTED);
        }

        return [] === $totals ? throw $body->fail('counts nothing') : $totals;
    }

    /** @return array<string, mixed> */
    private static function wrongOf(Node $body): array
    {
        $body->only('sign', 'strength', 'worse', 'began');
        $worse = $body->optional('worse')?->string();
        if (null !== $worse && !\array_key_exists($worse, self::WORSE)) {
            throw $body->get('worse')->fail('is neither yes, no nor not-sure');
        }

        return array_filter([
            'sign' => $body->get('sign')->enum(Sign::class)->value,
            'strength' => $body->optional('strength')?->int(0, StopTable::MOST),
            'worse' => $worse,
            'began' => self::text($body->optional('began'), 40),
        ], static fn (mixed $value): bool => null !== $value);
    }

    /** @return array<string, mixed> */
    private static function after(Node $body): array
    {
        $body->only('pain', 'parts', 'felt', 'unlike', 'note');
        $parts = [];
        foreach ($body->optional('parts')?->items() ?? [] as $part) {
            $part->only('part', 'side');
            $parts[] = [
                'part' => $part->get('part')->enum(ArmPart::class)->value,
                'side' => $part->get('side')->enum(Side::class)->value,
            ];
        }

        return array_filter([
            'pain' => $body->optional('pain')?->int(0, StopTable::MOST),
            'parts' => [] === $parts ? null : $parts,
            'felt' => $body->optional('felt')?->enum(Felt::class)->value,
            'unlike' => $body->optional('unlike')?->enum(Unlike::class)->value,
            'note' => self::text($body->optional('note'), self::NOTE_LETTERS),
        ], static fn (mixed $value): bool => null !== $value);
    }

    /** @return array<string, mixed> */
    private static function finished(Node $body): array
    {
        $body->only('note');
        $note = self::text($body->optional('note'), self::NOTE_LETTERS);

        return null === $note ? [] : ['note' => $note];
    }

    private static function text(?Node $node, int $letters): ?string
    {
        $text = trim($node?->text($letters) ?? '');

        return '' === $text ? null : $text;
    }
}

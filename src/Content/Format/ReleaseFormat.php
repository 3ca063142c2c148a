<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Release\ReleaseEnd;
use HandGarden\Core\Release\ReleaseMark;
use HandGarden\Core\Release\ReleasePlace;
use HandGarden\Core\Sitting\EventKind;

/** What the events of a hands-on release carry. */
final readonly class ReleaseFormat
{
    private const WHEN = ['before', 'after'];
    private const WHOLE_OPENING = 100;

    /**
     * @return array<string, mixed> as it is kept
     *
     * @throws InvalidData
     */
    public static function read(EventKind $kind, Node $body): array
    {
        return match ($kind) {
            EventKind::Marked => self::marked($body),
            EventKind::Tested => self::tested($body),
            default => ['why' => $body->only('why')->get('why')->enum(ReleaseEnd::class)->value],
        };
    }

    /** @return array<string, mixed> */
    private static function marked(Node $body): array
    {
        $body->only('step', 'mark');
        $place = ReleasePlace::fromCode($body->get('step')->string())
            ?? throw $body->get('step')->fail('is no step of the release');

        return [
            'step' => $place->code(),
            'mark' => $body->get('mark')->enum(ReleaseMark::class)->value,
        ];
    }

    /** @return array<string, mixed> */
    private static function tested(Node $body): array
    {
        $body->only('when', 'opening', 'tone');
        $when = $body->get('when')->string();
        if (!\in_array($when, self::WHEN, true)) {
            throw $body->get('when')->fail('is neither before nor after');
        }

        return array_filter([
            'when' => $when,
            'opening' => $body->get('opening')->int(0, self::WHOLE_OPENING),
            'tone' => $body->optional('tone')?->enum(ToneGrade::class)->value,
        ], static fn (mixed $value): bool => null !== $value);
    }
}

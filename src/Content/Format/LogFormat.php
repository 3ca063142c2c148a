<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\Help;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\ToneAfter;
use HandGarden\Core\Routine\Hands;

/** A log line as named values. */
final readonly class LogFormat
{
    public const BODY = [
        'outcome',
        'repetitions',
        'hold',
        'pain_before',
        'pain_after',
        'tone',
        'help',
        'compensations',
        'fatigue',
        'new_tingling',
        'systemic',
        'hurt_later',
        'note',
    ];

    public function __construct(
        private Catalogue $catalogue,
    ) {
    }

    /** @throws InvalidData */
    public function read(Node $node): LogLine
    {
        $rungId = $node->get('rung')->string();
        if (!$this->catalogue->hasRung($rungId)) {
            throw $node->get('rung')->fail(\sprintf('"%s" is not in the catalogue', $rungId));
        }

        return self::body(
            $node,
            $node->get('id')->string(),
            $node->get('sitting')->string(),
            $rungId,
            $node->get('hands')->enum(Hands::class),
            DoseFormat::read($node->optional('dose'), $this->catalogue->rung($rungId)->startDose),
            $node->get('on')->date(),
        );
    }

    /** @throws InvalidData */
    public static function body(
        Node $node,
        string $id,
        string $sittingId,
        string $rungId,
        Hands $hands,
        Dose $dose,
        \DateTimeImmutable $day,
    ): LogLine {
        return new LogLine(
            $id,
            $sittingId,
            $rungId,
            $hands,
            $dose,
            $day,
            $node->get('outcome')->enum(Outcome::class),
            $node->optional('repetitions')?->int(0, 200),
            $node->optional('hold')?->int(0, 600),
            $node->optional('pain_before')?->int(0, 10),
            $node->optional('pain_after')?->int(0, 10),
            $node->optional('tone')?->enum(ToneAfter::class),
            $node->optional('help')?->enum(Help::class) ?? Help::None,
            $node->optional('compensations')?->enums(Compensation::class) ?? [],
            $node->optional('fatigue')?->int(0, 10),
            $node->optional('new_tingling')?->bool() ?? false,
            $node->optional('systemic')?->bool() ?? false,
            $node->optional('hurt_later')?->bool() ?? false,
        );
    }

    /**
     * A body that was judged when it came in, read without judging it again: pages read hundreds of them.
     *
     * @param array<string, mixed> $body
     */
    public static function stored(
        array $body,
        string $id,
        string $sittingId,
        string $rungId,
        Hands $hands,
        Dose $dose,
        \DateTimeImmutable $day,
        bool $hurtLater,
    ): LogLine {
        $int = static fn (string $key): ?int => \is_int($body[$key] ?? null) ? $body[$key] : null;
        $text = static fn (string $key): string => \is_string($body[$key] ?? null) ? $body[$key] : '';
        $tricks = [];
        foreach (\is_array($body['compensations'] ?? null) ? $body['compensations'] : [] as $trick) {
            $tricks[] = Compensation::from(\is_string($trick) ? $trick : '');
        }

        return new LogLine(
            $id,
            $sittingId,
            $rungId,
            $hands,
            $dose,
            $day,
            Outcome::from($text('outcome')),
            $int('repetitions'),
            $int('hold'),
            $int('pain_before'),
            $int('pain_after'),
            ToneAfter::tryFrom($text('tone')),
            Help::tryFrom($text('help')) ?? Help::None,
            $tricks,
            $int('fatigue'),
            true === ($body['new_tingling'] ?? false),
            true === ($body['systemic'] ?? false),
            $hurtLater || true === ($body['hurt_later'] ?? false),
        );
    }
}

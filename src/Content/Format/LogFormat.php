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
            hands: $node->get('hands')->enum(Hands::class),
            dose: DoseFormat::read(
                $node->optional('dose'),
                $this->catalogue->rung($rungId)->startDose,
            ),
            day: $node->get('on')->date(),
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
            dose: $dose,
            day: $day,
            outcome: $node->get('outcome')->enum(Outcome::class),
            repetitions: $node->optional('repetitions')?->int(0, 200),
            holdSeconds: $node->optional('hold')?->int(0, 600),
            painBefore: $node->optional('pain_before')?->int(0, 10),
            painAfter: $node->optional('pain_after')?->int(0, 10),
            tone: $node->optional('tone')?->enum(ToneAfter::class),
            help: $node->optional('help')?->enum(Help::class) ?? Help::None,
            compensations: $node->optional('compensations')?->enums(Compensation::class) ?? [],
            fatigue: $node->optional('fatigue')?->int(0, 10),
            newTingling: $node->optional('new_tingling')?->bool() ?? false,
            systemic: $node->optional('systemic')?->bool() ?? false,
            hurtLater: $node->optional('hurt_later')?->bool() ?? false,
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
            dose: $dose,
            day: $day,
            outcome: Outcome::from($text('outcome')),
            repetitions: $int('repetitions'),
            holdSeconds: $int('hold'),
            painBefore: $int('pain_before'),
            painAfter: $int('pain_after'),
            tone: ToneAfter::tryFrom($text('tone')),
            help: Help::tryFrom($text('help')) ?? Help::None,
            compensations: $tricks,
            fatigue: $int('fatigue'),
            newTingling: true === ($body['new_tingling'] ?? false),
            systemic: true === ($body['systemic'] ?? false),
            hurtLater: $hurtLater || true === ($body['hurt_later'] ?? false),
        );
    }
}

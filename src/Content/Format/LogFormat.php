<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\InvalidDose;
use HandGarden\Core\Catalogue\Levels;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\Help;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Noticed;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\Skin;
use HandGarden\Core\Progress\SkipReason;
use HandGarden\Core\Progress\Told;
use HandGarden\Core\Progress\ToneAfter;
use HandGarden\Core\Progress\Unlike;
use HandGarden\Core\Routine\ItemKey;

/** A log line as named values. */
final readonly class LogFormat
{
    private const NOTE_LETTERS = 2000;
    private const MOST_KILOGRAMS = 50.0;
    private const MOST_MINUTES = 720;

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
        'errors',
        'drops',
        'felt',
        'load',
        'levels',
        'reason',
        'worn',
        'skin',
        'noticed',
        'whole',
        'paper',
        'as_shown',
        'unlike',
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
            throw $node->get('rung')->fail(\sprintf(
                '"%s" is not in the catalogue',
                $rungId,
            ));
        }

        return LogLine::from(
            $node->get('id')->string(),
            $node->get('sitting')->string(),
            new ItemKey(
                $rungId,
                $node->get('hands')->enum(Hands::class),
            ),
            DoseFormat::read(
                $node->optional('dose'),
                $this->catalogue->rung($rungId)->dosing->start,
            ),
            day: $node->get('on')->date(),
            told: self::toldOf(
                $this->catalogue->rung($rungId),
                $node,
            ),
        );
    }

    /**
     * What was told of an item, judged field by field.
     *
     * @throws InvalidData
     */
    public static function told(Node $node): Told
    {
        $note = $node->optional('note')?->text(self::NOTE_LETTERS) ?? '';

        return new Told(
            $node->get('outcome')->enum(Outcome::class),
            $node->optional('repetitions')?->int(0, 200),
            $node->optional('hold')?->int(0, 600),
            $node->optional('pain_before')?->int(0, 10),
            painAfter: $node->optional('pain_after')?->int(
                0,
                10,
            ),
            tone: $node->optional('tone')?->enum(ToneAfter::class),
            help: $node->optional('help')?->enum(Help::class),
            compensations: $node->optional('compensations')?->enums(Compensation::class) ?? [],
            fatigue: $node->optional('fatigue')?->int(
                0,
                10,
            ),
            newTingling: $node->optional('new_tingling')?->bool() ?? false,
            systemic: $node->optional('systemic')?->bool() ?? false,
            hurtLater: $node->optional('hurt_later')?->bool() ?? false,
            note: $note,
            errors: $node->optional('errors')?->int(
                0,
                200,
            ),
            drops: $node->optional('drops')?->int(
                0,
                200,
            ),
            felt: $node->optional('felt')?->enum(Felt::class),
            loadKilograms: $node->optional('load')?->float(
                0.0,
                self::MOST_KILOGRAMS,
            ),
            levels: DoseFormat::levels($node->optional('levels')),
            reason: $node->optional('reason')?->enum(SkipReason::class),
            wornMinutes: $node->optional('worn')?->int(
                0,
                self::MOST_MINUTES,
            ),
            skin: $node->optional('skin')?->enum(Skin::class),
            noticed: self::noticed($node->optional('noticed')),
            whole: $node->optional('whole')?->enum(Felt::class),
            fromPaper: $node->optional('paper')?->bool() ?? false,
            asShown: $node->optional('as_shown')?->bool() ?? false,
            unlike: $node->optional('unlike')?->enum(Unlike::class),
        );
    }

    /**
     * @return array<string, Noticed> by what was asked
     *
     * @throws InvalidData
     */
    public static function noticed(?Node $node): array
    {
        $noticed = [];
        foreach ($node?->map() ?? [] as $question => $answer) {
            if (1 !== preg_match('/^[a-z-]{1,40}$/', $question)) {
                throw $answer->fail('asks for nothing that is known');
            }
            $noticed[$question] = $answer->enum(Noticed::class);
        }

        return $noticed;
    }

    /**
     * The same, of an exercise: at levels that it has.
     *
     * @throws InvalidData
     */
    public static function toldOf(Rung $rung, Node $node): Told
    {
        $told = self::told($node);
        try {
            $rung->dosing->checkLevels($told->levels ?? Levels::none());
        } catch (InvalidDose $e) {
            throw $node->get('levels')->fail(
                $e->getMessage(),
            );
        }

        return $told;
    }

    /** @return array<string, mixed> as it is kept; what says nothing is left out */
    public static function write(Told $told): array
    {
        return array_filter(
            [
                'outcome' => $told->outcome->value,
                'repetitions' => $told->repetitions,
                'hold' => $told->holdSeconds,
                'pain_before' => $told->painBefore,
                'pain_after' => $told->painAfter,
                'tone' => $told->tone?->value,
                'help' => $told->help?->value,
                'compensations' => [] === $told->compensations
                    ? null
                    : array_map(
                        static fn (Compensation $c): string => $c->value,
                        $told->compensations,
                    ),
                'fatigue' => $told->fatigue,
                'new_tingling' => $told->newTingling ? true : null,
                'systemic' => $told->systemic ? true : null,
                'hurt_later' => $told->hurtLater ? true : null,
                'note' => '' === $told->note ? null : $told->note,
                'errors' => $told->errors,
                'drops' => $told->drops,
                'felt' => $told->felt?->value,
                'load' => $told->loadKilograms,
                'levels' => $told->levels?->all(),
                'reason' => $told->reason?->value,
                'worn' => $told->wornMinutes,
                'skin' => $told->skin?->value,
                'noticed' => [] === $told->noticed
                    ? null
                    : array_map(
                        static fn (Noticed $n): string => $n->value,
                        $told->noticed,
                    ),
                'whole' => $told->whole?->value,
                'paper' => $told->fromPaper ? true : null,
                'as_shown' => $told->asShown ? true : null,
                'unlike' => $told->unlike?->value,
            ],
            static fn (mixed $value): bool => null !== $value,
        );
    }

    /**
     * What was judged when it came in, read without judging it again: pages read hundreds of them.
     *
     * @param array<string, mixed> $kept
     */
    public static function kept(array $kept): Told
    {
        $int = static fn (string $key): ?int => \is_int($kept[$key] ?? null)
            ? $kept[$key]
            : null;
        $text = static fn (string $key): string => \is_string($kept[$key] ?? null)
            ? $kept[$key]
            : '';
        $is = static fn (string $key): bool => true === ($kept[$key] ?? false);
        $load = $kept['load'] ?? null;
        $tricks = [];
        foreach (\is_array($kept['compensations'] ?? null) ? $kept['compensations'] : [] as $trick) {
            // words of earlier days, in events that were written then
            $tricks[] = Compensation::from(str_replace(
                ' ',
                '-',
                \is_string($trick) ? $trick : '',
            ));
        }

        return new Told(
            Outcome::from($text('outcome')),
            $int('repetitions'),
            $int('hold'),
            $int('pain_before'),
            painAfter: $int('pain_after'),
            tone: ToneAfter::tryFrom($text('tone')),
            help: Help::tryFrom($text('help')),
            compensations: $tricks,
            fatigue: $int('fatigue'),
            newTingling: $is('new_tingling'),
            systemic: $is('systemic'),
            hurtLater: $is('hurt_later'),
            note: $text('note'),
            errors: $int('errors'),
            drops: $int('drops'),
            felt: Felt::tryFrom($text('felt')),
            loadKilograms: \is_int($load) || \is_float($load) ? (float) $load : null,
            levels: \is_array($kept['levels'] ?? null)
                ? DoseFormat::levels(
                    Node::root($kept['levels'], 'levels'),
                )
                : null,
            reason: SkipReason::tryFrom($text('reason')),
            wornMinutes: $int('worn'),
            skin: Skin::tryFrom($text('skin')),
            noticed: \is_array($kept['noticed'] ?? null)
                ? self::noticed(
                    Node::root($kept['noticed'], 'noticed'),
                )
                : [],
            whole: Felt::tryFrom($text('whole')),
            fromPaper: $is('paper'),
            asShown: $is('as_shown'),
            unlike: Unlike::tryFrom($text('unlike')),
        );
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Core\Data\Dates;
use HandGarden\Core\Sitting\AlertAct;
use HandGarden\Core\Sitting\AlertNext;
use HandGarden\Core\Words\Phrase;
use Symfony\Component\HttpFoundation\Request;

/** An answer to an alert as it was typed, and what is still missing of it. */
final readonly class AlertAnswer
{
    public const LETTERS = 300;
    private const FURTHEST_DAYS = 28;

    /**
     * @param list<AlertNext> $next
     * @param list<string>    $reopens ids of suspensions
     */
    private function __construct(
        public string $note,
        public ?AlertAct $act,
        public array $next,
        public array $reopens,
        public ?\DateTimeImmutable $lookOn,
        public string $words,
    ) {
    }

    public static function typed(Request $request): self
    {
        $form = $request->request;
        $texts = static function (string $key) use ($form): array {
            $list = $form->all()[$key] ?? [];

            return \is_array($list) ? array_values(array_filter($list, \is_string(...))) : [];
        };

        return new self(
            trim((string) $form->get('note', '')),
            AlertAct::tryFrom((string) $form->get(
                'act',
                '',
            )),
            next: array_values(
                array_filter(array_map(AlertNext::tryFrom(...), $texts('next'))),
            ),
            reopens: $texts('reopen'),
            lookOn: Dates::day((string) $form->get(
                'look_on',
                '',
            )),
            words: trim((string) $form->get(
                'words',
                '',
            )),
        );
    }

    /** What bars it; null: nothing. */
    public function problem(AlertCard $card, \DateTimeImmutable $today): ?Phrase
    {
        $latest = $today->modify('+'.self::FURTHEST_DAYS.' days');

        return match (true) {
            '' === $this->note || mb_strlen($this->note) > self::LETTERS => new Phrase('alert_problem.note'),
            mb_strlen($this->words) > self::LETTERS => new Phrase('alert_problem.words'),
            [] !== $card->rests && null === $this->act => new Phrase('alert_problem.act'),
            null !== $this->act && !\in_array($this->act, $card->acts, true) => new Phrase(
                'alert_problem.barred',
            ),
            null === $this->lookOn || $this->lookOn < $today || $this->lookOn > $latest => new Phrase(
                'alert_problem.look_on',
                ['days' => self::FURTHEST_DAYS],
            ),
            default => null,
        };
    }
}

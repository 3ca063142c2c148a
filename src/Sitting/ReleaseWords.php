<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Core\Sitting\EventKind;
use HandGarden\Web\Wording;

/** What was felt and tested in a hands-on release, in words for the record. */
final readonly class ReleaseWords
{
    public function __construct(
        private Wording $wording,
    ) {
    }

    /** @return list<string> empty: the event tells nothing of a release */
    public function of(SittingEvent $event): array
    {
        $text = static fn (string $key): string => \is_scalar($event->body[$key] ?? null)
            ? (string) $event->body[$key]
            : '';

        return array_values(array_filter(match ($event->kind) {
            EventKind::Marked => [
                $this->wording->word('release_place', ['place' => $text('step')]),
                mb_strtolower($this->wording->word('release_mark.'.$text('mark'))),
            ],
            EventKind::Tested => [
                $this->wording->word('release_test', [
                    'when' => $text('when'),
                    'opening' => $text('opening'),
                    'tone' => '' === $text('tone') ? 'none' : $text('tone'),
                ]),
            ],
            EventKind::Positioned => [$this->wording->word('release_end.'.$text('why'))],
            default => [],
        }, static fn (string $words): bool => '' !== $words));
    }
}

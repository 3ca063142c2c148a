<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Client\Client;
use HandGarden\Client\Helpers;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Web\Wording;

/** What was answered at home before a sitting, in words. */
final readonly class BeforeWords
{
    /** Answers that are one word of a few. */
    private const CHOICES = ['trouble', 'hurt_later', 'medicine', 'skin'];

    public function __construct(
        private Helpers $helpers,
        private Wording $wording,
    ) {
    }

    /**
     * @param list<SittingEvent> $events of a sitting
     *
     * @return list<string> none: it was not begun at home
     */
    public function of(array $events, Client $client): array
    {
        $told = [];
        foreach ($events as $event) {
            $told = EventKind::Begun === $event->kind ? $told + $event->body : $told;
        }
        if (!isset($told['with'])) {
            return [];
        }
        $id = self::text($told, 'helper');
        $words = [$this->wording->word('before.with', [
            'with' => strtr(self::text($told, 'with'), '-', '_'),
            'helper' => $this->helpers->names($client)[$id] ?? '',
        ])];
        foreach (self::CHOICES as $choice) {
            if (isset($told[$choice])) {
                $words[] = $this->wording->word(
                    'before.'.$choice,
                    ['answer' => strtr(self::text($told, $choice), '-', '_')],
                );
            }
        }
        if (isset($told['pain_before'])) {
            $part = self::text($told, 'pain_at');
            $words[] = $this->wording->word('before.pain', [
                'pain' => self::text($told, 'pain_before'),
                'part' => '' === $part ? '' : $this->wording->word('part.'.$part),
            ]);
        }
        if (isset($told['tired'])) {
            $words[] = $this->wording->word('before.tired', ['tired' => self::text($told, 'tired')]);
        }
        if (isset($told['out']) && \is_array($told['out'])) {
            $words[] = $this->wording->word('before.out', [
                'out' => implode(', ', array_filter($told['out'], \is_string(...))),
            ]);
        }

        return $words;
    }

    /** @param array<string, mixed> $told */
    private static function text(array $told, string $field): string
    {
        $value = $told[$field] ?? '';

        return \is_scalar($value) ? (string) $value : '';
    }
}

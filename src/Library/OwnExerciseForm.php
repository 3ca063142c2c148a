<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Core\Catalogue\ApproachTag;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Drawing\Pose;
use Symfony\Component\HttpFoundation\Request;

/**
 * The form of an own exercise: it holds what a ladder file would hold, as text until it is read. What cannot be
 * typed as it
 * should be goes on as it was typed, so that the reader names the field and nothing is lost.
 */
final readonly class OwnExerciseForm
{
    private const TEXTS = [
        'name',
        'position',
        'dose_words',
        'watch_for',
        'ease',
        'harder',
        'stop',
        'why',
        'moves',
        'posture',
        'side',
        'counted',
        'class',
        'segment',
        'role',
        'when',
        'strand',
    ];
    private const LISTS = [
        'performers',
        'materials',
        'fits',
        'avoid_when',
        'gates',
        'tags',
        'loads',
        'lengthens',
    ];
    private const DOSE = ['sets', 'repetitions', 'parts', 'move', 'hold', 'rest'];

    /**
     * @param array<string, mixed>                      $written as in a ladder file
     * @param array<string, array<string, mixed>>       $pose    start and end; empty: as in the picture
     */
    public function __construct(
        public array $written,
        public array $pose = [],
    ) {
    }

    public static function blank(): self
    {
        return new self([
            'name' => '',
            'strand' => 'open',
            'performers' => ['client alone'],
            'position' => 'Seated, forearm on the table',
            'posture' => 'forearm on the table',
            'materials' => ['table'],
            'steps' => [],
            'side' => 'affected',
            'counted' => 'repetitions',
            'dose_words' => '',
            'watch_for' => '',
            'ease' => 'Smaller movement',
            'harder' => 'More repetitions',
            'stop' => 'Pain, tingling or numbness',
            'why' => '',
            'fits' => [
                'stroke',
                'brain-injury',
            ],
            'avoid_when' => [],
            'gates' => [],
            'tags' => [],
            'moves' => '',
            'loads' => [],
            'lengthens' => [],
            'class' => 'practice',
            'intensity' => 2,
            'segment' => 'fingers',
            'role' => 'main',
            'when' => 'commands_n>=1', 'dose' => [
                'sets' => 1,
                'repetitions' => 5,
                'parts' => 1,
                'move' => 6,
                'hold' => 0,
                'rest' => 0,
            ],
            'range' => [
                'repetitions' => [1, 10],
                'hold' => [0, 10],
            ],
            'amount' => ['sets' => [1, 3]],
            'progress' => [['rule' => 'review']],
            'picture' => [
                'start' => 'relaxed',
                'end' => 'flat',
                'view' => 'three',
                'trace' => 'middle.tip',
            ],
        ]);
    }

    /** @param array<string, mixed> $before what is not on the form stays as it was */
    public static function read(Request $request, array $before): self
    {
        $form = $request->request->all();
        $text = static fn (string $key): string => \is_string($form[$key] ?? null) ? trim($form[$key]) : '';
        $written = $before;
        foreach (self::TEXTS as $key) {
            $written[$key] = $text($key);
        }
        foreach (self::LISTS as $key) {
            $given = $form[$key] ?? [];
            $written[$key] = \is_array($given)
                ? array_values(
                    array_filter($given, static fn (mixed $v): bool => \is_string($v) && '' !== $v),
                )
                : [];
        }
        $written['tags'] = array_values(
            array_filter(
                $written['tags'],
                static fn (string $tag): bool => null !== ApproachTag::tryFrom($tag),
            ),
        );
        $written['steps'] = array_values(
            array_filter(
                array_map(trim(...), explode("\n", $text('steps'))),
                static fn (string $s): bool => '' !== $s,
            ),
        );
        $written['intensity'] = self::number($text('intensity'));
        $dose = [];
        foreach (self::DOSE as $key) {
            $dose[$key] = self::number($text('dose_'.$key));
        }
        $range = [
            'repetitions' => [1, self::number($text('most_repetitions'))],
            'hold' => [0, self::number($text('most_hold'))],
        ];
        if (!\in_array($text('dose_load'), ['', '0'], true)) {
            $dose['load'] = self::number($text('dose_load'));
            $range['load'] = [
                0,
                '' === $text('most_load') ? $dose['load'] : self::number($text('most_load')),
            ];
        }
        $written['dose'] = $dose;
        $written['range'] = $range;
        $written['amount'] = ['sets' => [1, self::number($text('most_sets'))]];
        $written['dose_words'] = '' === $written['dose_words']
            ? 'As the dose says'
            : $written['dose_words'];
        $picture = \is_array($before['picture'] ?? null) ? $before['picture'] : [];
        $written['picture'] = ['view' => $text('view'), 'trace' => $text('trace')] + $picture;
        $pose = [];
        foreach ('1' === $text('own_pose') ? ['start', 'end'] : [] as $which) {
            $given = $form['pose'][$which] ?? [];
            $pose[$which] = self::angles(\is_array($given) ? $given : []);
        }

        return new self($written, $pose);
    }

    /**
     * Typed angles as the pose file has them.
     *
     * @param array<mixed> $given
     *
     * @return array<string, mixed>
     */
    public static function angles(array $given): array
    {
        $pose = [];
        foreach (['wrist', 'dev', 'forearm', 'cup'] as $key) {
            $pose[$key] = self::number(
                \is_scalar($given[$key] ?? null) ? (string) $given[$key] : '0',
            );
        }
        foreach ([...Pose::FINGERS, 'thumb'] as $digit) {
            $values = $given[$digit] ?? [];
            $pose[$digit] = array_map(
                static fn (mixed $v): int|float|string => self::number(
                    \is_scalar($v) ? (string) $v : '',
                ),
                array_values(\is_array($values) ? $values : []),
            );
        }

        return $pose;
    }

    /**
     * What the filters ask for.
     *
     * @return array<string, mixed>
     */
    public function facets(Rung $rung): array
    {
        return [
            'conditions' => array_map(static fn ($c): string => $c->value, $rung->fit->conditions),
            'performers' => array_map(static fn ($p): string => $p->value, $rung->fit->performers),
            'materials' => $rung->fit->materials,
            'posture' => $rung->sitting->posture->value,
            'loads' => array_map(static fn ($l): string => $l->group, $rung->load->muscles),
            'strand' => $this->written['strand'],
        ];
    }

    /** A number where it is one, else what was typed: the reader then names the place. */
    private static function number(string $typed): int|float|string
    {
        $text = str_replace(',', '.', $typed);
        if (1 === preg_match('/^-?\d{1,6}$/', $text)) {
            return (int) $text;
        }

        return 1 === preg_match('/^-?\d{0,6}\.\d{1,4}$/', $text) ? (float) $text : $typed;
    }
}

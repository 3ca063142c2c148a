<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Core\Data\Dates;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use Symfony\Component\HttpFoundation\InputBag;

/** What was written on paper, as it was typed in. */
final readonly class PaperForm
{
    /** What is older says nothing of today, and belongs in a note. */
    public const FURTHEST_DAYS = 60;
    private const NAME = 80;

    /**
     * @param array<string, array<string, mixed>> $lines by item key; what was left empty is not there
     */
    private function __construct(
        public ?\DateTimeImmutable $day,
        public string $writtenBy,
        public ?int $painBefore,
        public array $lines,
    ) {
    }

    /** @param InputBag<bool|float|int|string> $form */
    public static function typed(InputBag $form): self
    {
        $pain = (string) $form->get('pain_before', '');
        $lines = [];
        $all = $form->all()['lines'] ?? [];
        foreach (\is_array($all) ? $all : [] as $key => $line) {
            if (\is_array($line) && '' !== ($line['outcome'] ?? '')) {
                $lines[(string) $key] = self::line($line);
            }
        }

        return new self(
            Dates::day((string) $form->get('day', '')),
            mb_substr(
                trim((string) $form->get('written_by', '')),
                0,
                self::NAME,
            ),
            1 === preg_match('/^(10|\d)$/D', $pain) ? (int) $pain : null,
            lines: $lines,
        );
    }

    /**
     * @param array<array-key, mixed> $typed
     *
     * @return array<string, mixed>
     */
    private static function line(array $typed): array
    {
        $line = ['outcome' => $typed['outcome'], 'paper' => true];
        foreach (['repetitions', 'hold', 'pain_after'] as $number) {
            $value = $typed[$number] ?? '';
            if ('' !== $value) {
                $line[$number] = is_numeric($value) ? (int) $value : $value;
            }
        }
        if ('skipped' === $typed['outcome'] && '' !== ($typed['reason'] ?? '')) {
            $line['reason'] = $typed['reason'];
        }

        return $line;
    }

    /** @throws InvalidData when the day or the name is missing, the day lies ahead, or nothing was told */
    public function check(\DateTimeImmutable $today): void
    {
        $form = Node::root([]);
        if (null === $this->day) {
            throw $form->fail('say on which day it was');
        }
        if ($this->day > $today) {
            throw $form->fail('that day has not come yet');
        }
        if ($this->day < $today->modify('-'.self::FURTHEST_DAYS.' days')) {
            throw $form->fail(\sprintf('that day is more than %d days ago', self::FURTHEST_DAYS));
        }
        if ('' === $this->writtenBy) {
            throw $form->fail('say who wrote it down');
        }
        if ([] === $this->lines) {
            throw $form->fail('say of at least one exercise how it went');
        }
    }
}

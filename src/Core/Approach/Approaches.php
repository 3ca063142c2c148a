<?php

declare(strict_types=1);

namespace HandGarden\Core\Approach;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\ApproachTag;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Measure\Finding\HandState;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Words\Phrase;

/** The schools followed for one client. Defaults come from what is measured; a choice never lifts a caution. */
final class Approaches
{
    private const HIGH_TONE = 2.0;
    /** What a rung of the followed school is worth more to the builder. */
    private const PREFERRED = 6;

    /** @var array<string, Choice> by question and hand */
    private array $made = [];

    public function __construct(
        private readonly ClientFacts $facts,
        private readonly KnownFacts $known,
    ) {
    }

    /** @return list<Choice> of all questions, for the worse hand */
    public function all(): array
    {
        return array_map(
            fn (Question $q): Choice => $this->choice($q, $this->facts->people->affected[0]),
            Question::cases(),
        );
    }

    public function choice(Question $question, Side $side): Choice
    {
        return $this->made[$question->value.$side->value] ??= $this->make($question, $side);
    }

    public function follows(Question $question, School $school, Side $side): bool
    {
        return $school === $this->choice($question, $side)->school;
    }

    /** Why the followed schools leave a rung out of a routine; null: they do not. */
    public function refuses(Rung $rung, Side $side): ?Phrase
    {
        $refusal = match (true) {
            \in_array(ApproachTag::Squeezing, $rung->sitting->tags, true)
                && $this->follows(
                    Question::Squeezing,
                    School::B,
                    $side,
                ) => ['left_out.approach_no_squeezing', Question::Squeezing],
            \in_array(ApproachTag::Load, $rung->sitting->tags, true)
                && $this->shakes()
                && $this->follows(
                    Question::Load,
                    School::B,
                    $side,
                ) => ['left_out.approach_no_weights', Question::Load],
            \in_array(ApproachTag::GradedLoading, $rung->sitting->tags, true)
                && $this->facts->has(Condition::Dystonia)
                && $this->follows(Question::TaskDystonia, School::B, $side)
                && true !== $this->known->value('felt_clearer', null, $side) => [
                    'left_out.approach_mapping_first',
                    Question::TaskDystonia,
                ],
            default => null,
        };

        return null === $refusal
            ? null
            : new Phrase(
                $refusal[0],
                ['because' => $this->choice($refusal[1], $side)->because()],
            );
    }

    /** What the followed schools add to the value of a rung. */
    public function prefers(Rung $rung, Side $side): int
    {
        $tag = $this->follows(Question::Wrist, School::A, $side)
            ? ApproachTag::WristForwardFirst
            : ApproachTag::WristBackFirst;

        return \in_array($tag, $rung->sitting->tags, true) ? self::PREFERRED : 0;
    }

    private function make(Question $question, Side $side): Choice
    {
        [$default, $reason] = $this->default($question, $side);
        foreach ($this->facts->decided->approaches as $chosen) {
            if ($chosen->question === $question) {
                return new Choice($question, $chosen->school, $default, $reason, note: $chosen->note);
            }
        }

        return new Choice($question, $default, $default, $reason);
    }

    /** @return array{School, Phrase} */
    private function default(Question $question, Side $side): array
    {
        return match ($question) {
            Question::Quieting => [School::A, new Phrase('approach_default.quieting.always')],
            Question::Wrist => $this->wrist($side),
            Question::Fist => true === $this->known->value('thumb_trapped', null, $side)
                ? [School::B, new Phrase('approach_default.fist.held')]
                : [School::A, new Phrase('approach_default.fist.free')],
            Question::Squeezing => $this->squeezing($side),
            Question::Load => $this->load($side),
            Question::Amount => [
                School::A,
                new Phrase('approach_default.amount.daily'),
            ],
            Question::Counting => [School::A, new Phrase('approach_default.counting.either')],
            Question::TaskDystonia => [
                School::B,
                new Phrase('approach_default.task_dystonia.mapping'),
            ],
            Question::Tricks => [School::A, new Phrase('approach_default.tricks.start')],
        };
    }

    /** @return array{School, Phrase} */
    private function wrist(Side $side): array
    {
        $hand = new HandState($this->facts->measured->readings, $side);
        $gain = $hand->gain(Mode::Passive) ?? $hand->gain(Mode::Active);
        if (null === $gain) {
            return [
                School::A,
                new Phrase('approach_default.wrist.unknown'),
            ];
        }
        $points = ['points' => round($gain['points'])];

        return $gain['points'] >= $this->facts->thresholds->findings->gainPoints
            ? [School::A, new Phrase('approach_default.wrist.gains', $points)]
            : [School::B, new Phrase('approach_default.wrist.gains_little', $points)];
    }

    /** @return array{School, Phrase} */
    private function squeezing(Side $side): array
    {
        $tone = $this->known->value('tone_finger', null, $side);
        if (\is_float($tone) && $tone >= self::HIGH_TONE) {
            return [School::B, new Phrase('approach_default.squeezing.tone')];
        }
        if (true === $this->known->value('curls', null, $side)) {
            return [School::B, new Phrase('approach_default.squeezing.curls')];
        }

        return [
            School::A,
            \is_float($tone)
                ? new Phrase('approach_default.squeezing.free')
                : new Phrase('approach_default.squeezing.unknown'),
        ];
    }

    /** @return array{School, Phrase} */
    private function load(Side $side): array
    {
        if (!$this->shakes()) {
            return [School::A, new Phrase('approach_default.load.steady')];
        }

        return true === $this->known->value('steady_gain', 'weight', $side)
            ? [School::A, new Phrase('approach_default.load.gain')]
            : [School::B, new Phrase('approach_default.load.no_gain')];
    }

    private function shakes(): bool
    {
        return $this->facts->has(Condition::Parkinsons) || $this->facts->has(Condition::Tremor);
    }
}

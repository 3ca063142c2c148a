<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Asks;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Segment;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Screening\Bars;
use HandGarden\Core\Screening\Question;
use HandGarden\Core\Screening\ScreeningQuestions;

/** Reads the screening questions and the stop rules. */
final readonly class ScreeningReader
{
    public function read(Node $node): ScreeningQuestions
    {
        $node->only('questions', 'stop_rules', 'pulling', 'set_up');

        return new ScreeningQuestions(
            array_map($this->question(...), $node->get('questions')->items()),
            array_map(
                static fn (Node $rule): array => [
                    'when' => $rule->get('when')->string(),
                    'do' => $rule->get('do')->string(),
                ],
                $node->get('stop_rules')->items(),
            ),
            $node->get('pulling')->string(),
            $node->get('set_up')->strings(),
        );
    }

    private function question(Node $node): Question
    {
        $node->only(
            'id',
            'ask',
            'yes',
            'unblocks',
            'emergency',
            'ends_helping',
            'bars',
            'note',
            'max_hold_seconds',
            'applies_to_classes',
            'gives',
            'gives_on_yes',
            'days_after_injection',
        );

        return new Question(
            $node->get('id')->string(),
            $node->get('ask')->string(),
            $node->get('yes')->string(),
            $this->bars($node->optional('bars')),
            maxHoldSeconds: $node->optional('max_hold_seconds')?->int(1, 60),
            shortensClasses: $node->optional('applies_to_classes')?->enums(EffortClass::class) ?? [],
            isEmergency: $node->optional('emergency')?->bool() ?? false,
            endsHelping: $node->optional('ends_helping')?->bool() ?? false,
            isNote: $node->optional('note')?->bool() ?? false,
            gives: array_map(
                static fn (Node $value): bool => $value->bool(),
                $node->optional('gives')?->map() ?? [],
            ),
            givesOnYes: array_map(
                static fn (Node $value): bool => $value->bool(),
                $node->optional('gives_on_yes')?->map() ?? [],
            ),
            unblocks: $node->get('unblocks')->string(),
            daysAfterInjection: $node->optional('days_after_injection')?->int(
                1,
                365,
            ),
        );
    }

    private function bars(?Node $node): Bars
    {
        if (null === $node) {
            return new Bars();
        }
        if ('all' === $node->raw()) {
            return new Bars(everything: true);
        }
        $node->only(
            'segments',
            'classes',
            'strands',
            'rungs',
            'except_classes',
            'unless_supervised',
            'asks',
        );

        return new Bars(
            false,
            $node->optional('segments')?->enums(Segment::class) ?? [],
            $node->optional('classes')?->enums(EffortClass::class) ?? [],
            $node->optional('strands')?->strings() ?? [],
            rungs: $node->optional('rungs')?->strings() ?? [],
            exceptClasses: $node->optional('except_classes')?->enums(EffortClass::class) ?? [],
            unlessSupervised: $node->optional('unless_supervised')?->bool() ?? false,
            asks: $node->optional('asks')?->enums(Asks::class) ?? [],
        );
    }
}

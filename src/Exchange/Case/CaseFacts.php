<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Case;

use HandGarden\Content\Format\ReadingFormat;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Approach\ChosenSchool;
use HandGarden\Core\Approach\Question;
use HandGarden\Core\Approach\School;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\MuscleLoad;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\FactsSource;
use HandGarden\Core\Placement\Injection;
use HandGarden\Core\Placement\Measured;
use HandGarden\Core\Placement\Override;
use HandGarden\Core\Placement\People;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Placement\Setting;
use HandGarden\Core\Placement\Thresholds;
use HandGarden\Core\Screening\Answer;
use HandGarden\Core\Screening\Screening;

/** What a case file says of one client; every word is checked as it is read. */
final readonly class CaseFacts implements FactsSource
{
    private Node $client;

    public function __construct(
        private Node $case,
        private \DateTimeImmutable $today,
        private Catalogue $catalogue,
    ) {
        $this->client = $case->get('client');
    }

    /** @throws InvalidData */
    public function people(): People
    {
        $conditions = $this->client->get('conditions')->enums(Condition::class);
        $affected = $this->client->get('affected')->enums(Side::class);
        if ([] === $conditions || [] === $affected) {
            throw $this->client->fail('needs one condition and one affected side or more');
        }

        return new People(
            $conditions,
            $affected,
            $this->client->optional('unaffected')?->enums(Side::class) ?? [],
            $this->client->optional('writing_hand')?->enum(Side::class) ?? Side::Right,
        );
    }

    /** @throws InvalidData */
    public function setting(): Setting
    {
        return new Setting(
            $this->client->optional('helper_here')?->bool() ?? false,
            self::onBothHands($this->client->optional('helper_signed')?->strings() ?? []),
            $this->client->optional('supervised')?->bool() ?? false,
            $this->client->optional('at_home')?->bool() ?? true,
            materials: $this->client->optional('materials')?->strings(),
        );
    }

    /** @throws InvalidData */
    /** A file is judged by the defaults: it is of no clinic. */
    public function thresholds(): Thresholds
    {
        return new Thresholds();
    }

    public function measured(): Measured
    {
        $injectedOn = $this->client->optional('injected_on')?->date();

        return new Measured(
            new Readings($this->readings()),
            $this->screening($injectedOn),
            null === $injectedOn ? null : $this->injection($injectedOn),
        );
    }

    /** @throws InvalidData */
    public function decided(): Decided
    {
        return new Decided(
            array_map(
                $this->approved(...),
                $this->case->optional('approved')?->items() ?? [],
            ),
            array_map(
                $this->override(...),
                $this->case->optional('overrides')?->items() ?? [],
            ),
            $this->client->optional('suspended')?->strings() ?? [],
            array_map(
                static fn (Node $a): ChosenSchool => new ChosenSchool(
                    $a->get('question')->enum(Question::class),
                    $a->get('school')->enum(School::class),
                    $a->get('note')->string(),
                ),
                $this->case->optional('approaches')?->items() ?? [],
            ),
            shown: $this->client->has('shown')
                ? self::onBothHands($this->client->get('shown')->strings()) : null,
        );
    }

    /**
     * @param list<string> $rungIds
     *
     * @return list<string> `rung|side`
     */
    private static function onBothHands(array $rungIds): array
    {
        $signed = [];
        foreach ($rungIds as $rungId) {
            foreach (Side::cases() as $side) {
                $signed[] = (new RungOnSide($rungId, $side))->text();
            }
        }

        return $signed;
    }

    /** Without sides it is every affected hand. */
    private function injection(\DateTimeImmutable $on): Injection
    {
        $sides = $this->client->optional('injected_sides')?->enums(Side::class) ?? [];
        $groups = $this->client->optional('injected_muscles');
        foreach ($groups?->items() ?? [] as $group) {
            if (!MuscleLoad::isGroup($group->string())) {
                throw $group->fail('no group of muscles of this name');
            }
        }
        $named = $groups?->strings() ?? [];
        $affected = $this->people()->affected;

        return new Injection(
            $on,
            [] === $sides ? $affected : $sides,
            [] === $named ? Injection::USUAL_GROUPS : $named,
        );
    }

    private function approved(Node $node): string
    {
        $rung = $node->get('rung')->string();
        if (!$this->catalogue->hasRung($rung)) {
            throw $node->get('rung')->fail(\sprintf('"%s" is not in the catalogue', $rung));
        }

        return (new RungOnSide($rung, $node->get('side')->enum(Side::class)))->text();
    }

    /** @return list<Reading> */
    private function readings(): array
    {
        return (new ReadingFormat($this->catalogue))->all($this->case, $this->today);
    }

    private function screening(?\DateTimeImmutable $injectedOn): Screening
    {
        $answers = [];
        foreach ($this->case->optional('screening')?->map() ?? [] as $id => $answer) {
            if (null === $this->catalogue->screening->find($id)) {
                throw $answer->fail('is not a screening question');
            }
            $dated = !\is_string($answer->raw());
            $answers[$id] = [
                ($dated ? $answer->get('answer') : $answer)->enum(Answer::class),
                $dated ? $answer->get('on')->date() : $this->today,
            ];
        }

        return new Screening($this->catalogue->screening, $answers, $injectedOn);
    }

    private function override(Node $node): Override
    {
        $rung = $node->get('rung')->string();
        $ladder = $node->get('ladder')->string();
        if (!$this->catalogue->hasRung($rung) || $this->catalogue->ladderOf($rung)->key !== $ladder) {
            throw $node->get('rung')->fail(\sprintf(
                '"%s" is not a rung of %s',
                $rung,
                $ladder,
            ));
        }

        return new Override(
            $ladder,
            $node->get('side')->enum(Side::class),
            $rung,
            $node->get('note')->string(),
        );
    }
}

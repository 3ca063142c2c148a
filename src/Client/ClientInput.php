<?php

declare(strict_types=1);

namespace HandGarden\Client;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\GoalTask;
use HandGarden\Core\Catalogue\MuscleLoad;
use HandGarden\Core\Data\Dates;
use HandGarden\Core\Routine\Goals;
use Symfony\Component\HttpFoundation\InputBag;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** The client form as it was typed; it may be wrong, and survives being wrong. */
final class ClientInput
{
    #[Assert\NotBlank(message: 'A given name is needed.')]
    #[Assert\Length(max: 80)]
    public string $givenName = '';

    #[Assert\NotBlank(message: 'A family name is needed.')]
    #[Assert\Length(max: 80)]
    public string $familyName = '';

    #[Assert\Regex('/^(19|20)\d\d$/', message: '{{ value }} is not a year such as 1958.')]
    public string $birthYear = '';

    #[Assert\Timezone(message: '{{ value }} is not a time zone.')]
    public string $zone = 'UTC';

    /** @var list<string> */
    #[Assert\Count(min: 1, minMessage: 'Tick at least one condition: it decides which exercises fit.')]
    public array $conditions = [];

    #[Assert\Choice(
        ['left', 'right', 'both-left', 'both-right'],
        message: 'Say which hand is affected; of two, the worse one.',
    )]
    public string $affected = '';

    public bool $otherUnaffected = false;

    #[Assert\Choice(['left', 'right'], message: 'Say which hand writes.')]
    public string $writingHand = 'right';

    #[Assert\Range(
        min: 5,
        max: 90,
        notInRangeMessage: 'Between {{ min }} and {{ max }} minutes a sitting.',
        invalidMessage: '{{ value }} is not a number of minutes.',
    )]
    public string $minutes = '20';

    #[Assert\Range(
        min: 1,
        max: 7,
        notInRangeMessage: 'Between {{ min }} and {{ max }} days a week.',
        invalidMessage: '{{ value }} is not a number of days.',
    )]
    public string $daysPerWeek = '5';

    #[Assert\Choice(['low', 'usual', 'good'])]
    public string $stamina = 'usual';

    #[Assert\Regex('/^[0-9+() .\/-]*$/D', message: 'A telephone number has digits, spaces and + only.')]
    #[Assert\Length(max: 40)]
    public string $phone = '';

    /** @var list<string> */
    public array $materials = [];

    public bool $materialsAsked = false;

    /** @var array<string, string> how much each daily task matters, 0 to 3, by its key */
    public array $goals = [];

    #[Assert\Length(max: 200)]
    public string $goalWords = '';

    public string $injectedOn = '';

    /** @var list<string> */
    public array $injectedSides = [];

    /** @var list<string> */
    public array $injectedMuscles = [];

    #[Assert\Length(max: 300)]
    public string $story = '';

    public string $version = '';

    #[Assert\Valid]
    public IntakeInput $intake;

    public function __construct()
    {
        $this->intake = new IntakeInput();
    }

    public static function from(Client $client): self
    {
        $input = new self();
        $input->givenName = $client->givenName;
        $input->familyName = $client->familyName;
        $input->birthYear = null === $client->birthYear ? '' : (string) $client->birthYear;
        $input->zone = $client->zone;
        $input->conditions = array_map(
            static fn (Condition $c): string => $c->value,
            $client->conditions(),
        );
        $affected = $client->affected();
        $input->affected = match (\count($affected)) {
            0 => '',
            1 => $affected[0]->value,
            default => 'both-'.$affected[0]->value,
        };
        $input->otherUnaffected = [] !== $client->unaffected();
        $input->writingHand = $client->writingHand->value;
        $input->minutes = (string) $client->minutes;
        $input->daysPerWeek = (string) $client->daysPerWeek;
        $input->stamina = $client->stamina->value;
        $input->phone = $client->phone;
        $input->materials = $client->materials ?? [];
        $input->materialsAsked = null !== $client->materials;
        $input->goals = array_map(
            strval(...),
            $client->goals,
        );
        $input->goalWords = $client->goalWords;
        $input->injectedOn = $client->injectedOn?->format('Y-m-d') ?? '';
        $input->injectedSides = $client->injectedSides;
        $input->injectedMuscles = $client->injectedMuscles;
        $input->story = $client->story;
        $input->version = (string) $client->version;
        $input->intake = IntakeInput::from(
            $client->intake(),
        );

        return $input;
    }

    /** @param InputBag<bool|float|int|string> $form */
    public static function typed(InputBag $form): self
    {
        $input = new self();
        foreach (
            [
                'givenName',
                'familyName',
                'birthYear',
                'zone',
                'affected',
                'writingHand',
                'minutes',
                'daysPerWeek',
                'stamina',
                'phone',
                'goalWords',
                'injectedOn',
                'story',
                'version',
            ] as $field
        ) {
            $input->$field = trim((string) $form->get(
                $field,
                '',
            ));
        }
        foreach (['otherUnaffected', 'materialsAsked'] as $field) {
            $input->$field = $form->has($field);
        }
        $all = $form->all();
        $texts = static fn (mixed $list): array => \is_array($list) ? array_values(
            array_filter($list, \is_string(...)),
        ) : [];
        $input->conditions = $texts($all['conditions'] ?? []);
        $input->materials = $texts($all['materials'] ?? []);
        $input->injectedSides = $texts($all['injectedSides'] ?? []);
        $input->injectedMuscles = $texts($all['injectedMuscles'] ?? []);
        $input->goals = self::weights($all['goals'] ?? null);
        $input->intake = IntakeInput::typed(\is_array($all['intake'] ?? null) ? $all['intake'] : []);

        return $input;
    }

    /** @return array<string, string> */
    private static function weights(mixed $typed): array
    {
        $weights = [];
        foreach (\is_array($typed) ? $typed : [] as $key => $weight) {
            if (\is_string($weight)) {
                $weights[(string) $key] = $weight;
            }
        }

        return $weights;
    }

    #[Assert\Callback]
    public function checkConditions(ExecutionContextInterface $context): void
    {
        foreach ($this->conditions as $condition) {
            if (null === Condition::tryFrom($condition)) {
                $context->buildViolation('There is no such condition.')->atPath(
                    'conditions',
                )->addViolation();
            }
        }
        TypedDay::check(
            $context,
            'injectedOn',
            $this->injectedOn,
            'The injection lies in the future.',
        );
    }

    /** Call only when the validator found nothing. */
    public function writeTo(Client $client, Catalogue $catalogue): void
    {
        $client->givenName = $this->givenName;
        $client->familyName = $this->familyName;
        $client->birthYear = '' === $this->birthYear ? null : (int) $this->birthYear;
        $client->zone = $this->zone;
        $client->setConditions(
            array_map(Condition::from(...), $this->conditions),
        );
        $worse = Side::from(
            str_replace('both-', '', $this->affected),
        );
        $both = str_starts_with($this->affected, 'both-');
        $client->setSides(
            $both ? [$worse, $worse->opposite()] : [$worse],
            !$both && $this->otherUnaffected ? [$worse->opposite()] : [],
        );
        $client->writingHand = Side::from($this->writingHand);
        $client->minutes = (int) $this->minutes;
        $client->daysPerWeek = (int) $this->daysPerWeek;
        $client->stamina = Stamina::from($this->stamina);
        $client->phone = $this->phone;
        $known = self::materialsIn($catalogue);
        $client->materials = $this->materialsAsked
            ? array_values(
                array_intersect($this->materials, array_keys($known)),
            )
            : null;
        $known = array_map(
            static fn (GoalTask $g): string => $g->key,
            $catalogue->goals,
        );
        $client->goals = array_filter(
            array_map(
                intval(...),
                array_intersect_key($this->goals, array_flip($known)),
            ),
            static fn (int $w): bool => $w >= Goals::LEAST && $w <= Goals::MOST,
        );
        arsort($client->goals);
        $client->goalWords = $this->goalWords;
        $client->injectedOn = Dates::day($this->injectedOn);
        $client->injectedSides = array_values(
            array_intersect(
                array_column(Side::cases(), 'value'),
                $this->injectedSides,
            ),
        );
        $client->injectedMuscles = array_values(
            array_filter($this->injectedMuscles, MuscleLoad::isGroup(...)),
        );
        $client->story = $this->story;
        $client->setIntake($this->intake->intake());
    }

    /** @return array<string, string> labels of everything an exercise may need, by key */
    public static function materialsIn(Catalogue $catalogue): array
    {
        $materials = [];
        foreach ($catalogue->rungs() as $rung) {
            foreach ($rung->fit->materials as $key) {
                $materials[$key] = $catalogue->handbook()->material($key)->label ?? $key;
            }
        }
        asort($materials);

        return $materials;
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Client;

use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** The part of the client form that is asked once, as it was typed. */
final class IntakeInput
{
    private const FIELDS = [
        'onsetOn',
        'medicines',
        'doseTimes',
        'splints',
        'living',
        'helperTimes',
        'commands',
        'vision',
        'hearing',
        'seatedMinutes',
        'epilepsy',
        'matters',
        'consentOn',
    ];

    public string $onsetOn = '';

    #[Assert\Length(max: 200)]
    public string $medicines = '';

    #[Assert\Regex(
        '/^$|^([01]?\d|2[0-3])[:.][0-5]\d([ ,;]+([01]?\d|2[0-3])[:.][0-5]\d)*$/',
        message: '{{ value }} are not times such as 7:00 12:30.',
    )]
    public string $doseTimes = '';

    #[Assert\Length(max: 200)]
    public string $splints = '';

    #[Assert\Length(max: 200)]
    public string $living = '';

    #[Assert\Length(max: 120)]
    public string $helperTimes = '';

    /** @var list<string> */
    public array $communication = [];

    #[Assert\Choice(['', '0', '1', '2', '3'])]
    public string $commands = '';

    #[Assert\Length(max: 120)]
    public string $vision = '';

    #[Assert\Length(max: 120)]
    public string $hearing = '';

    #[Assert\Range(
        min: 0,
        max: 480,
        notInRangeMessage: 'Between {{ min }} and {{ max }} minutes.',
        invalidMessage: '{{ value }} is not a number of minutes.',
    )]
    public string|int|null $seatedMinutes = null;

    #[Assert\Choice(['', 'no', 'yes'])]
    public string $epilepsy = '';

    #[Assert\Length(max: 400)]
    public string $matters = '';

    public string $consentOn = '';

    public static function from(Intake $intake): self
    {
        $input = new self();
        foreach (
            [
                'onsetOn',
                'medicines',
                'splints',
                'living',
                'helperTimes',
                'commands',
                'vision',
                'hearing',
                'epilepsy',
                'matters',
                'consentOn',
            ] as $field
        ) {
            $input->$field = $intake->$field;
        }
        $input->seatedMinutes = $intake->seatedMinutes;
        $input->doseTimes = implode(' ', $intake->doseTimes);
        $input->communication = $intake->communication;

        return $input;
    }

    /** @param array<mixed> $form */
    public static function typed(array $form): self
    {
        $input = new self();
        foreach (self::FIELDS as $field) {
            $value = $form[$field] ?? '';
            $input->$field = \is_string($value) ? trim($value) : '';
        }
        $input->seatedMinutes = '' === $input->seatedMinutes ? null : $input->seatedMinutes;
        $list = $form['communication'] ?? [];
        $input->communication = \is_array($list)
            ? array_values(
                array_filter(
                    array_keys(Intake::COMMUNICATION),
                    static fn (string $key): bool => \in_array($key, $list, true),
                ),
            )
            : [];

        return $input;
    }

    #[Assert\Callback]
    public function checkDays(ExecutionContextInterface $context): void
    {
        foreach (['onsetOn', 'consentOn'] as $field) {
            TypedDay::check($context, $field, $this->$field, 'That day lies in the future.');
        }
    }

    /** Call only when the validator found nothing. */
    public function intake(): Intake
    {
        $times = [];
        preg_match_all('/\d+[:.]\d\d/', $this->doseTimes, $found);
        foreach ($found[0] as $time) {
            [$hour, $minute] = explode(':', strtr($time, '.', ':')) + [1 => '00'];
            $times[] = \sprintf('%02d:%02d', (int) $hour, (int) $minute);
        }
        sort($times);

        return new Intake(
            $this->onsetOn,
            $this->medicines,
            array_values(array_unique($times)),
            $this->splints,
            living: $this->living,
            helperTimes: $this->helperTimes,
            communication: $this->communication,
            commands: $this->commands,
            vision: $this->vision,
            hearing: $this->hearing,
            seatedMinutes: null === $this->seatedMinutes ? null : (int) $this->seatedMinutes,
            epilepsy: $this->epilepsy,
            matters: $this->matters,
            consentOn: $this->consentOn,
        );
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\Clinic;
use HandGarden\Account\OpeningHours;
use HandGarden\Core\Data\Dates;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** What a clinic says of itself, as it was typed. */
final class ClinicInput
{
    private const PHONE = '/^[0-9 +()\/-]{0,40}$/D';
    private const MOST_HOLIDAYS = 60;

    #[Assert\NotBlank(message: 'A name is needed.')]
    #[Assert\Length(max: 120, maxMessage: 'At most 120 characters.')]
    public string $name = '';

    #[Assert\Timezone(message: '{{ value }} is not a time zone.')]
    public string $zone = 'UTC';

    #[Assert\NotBlank(message: 'It is shown where life may depend on it.')]
    #[Assert\Regex(self::PHONE, message: 'Digits, spaces and + ( ) / - only, at most 40.')]
    public string $emergencyNumber = '';

    #[Assert\Regex(self::PHONE, message: 'Digits, spaces and + ( ) / - only, at most 40.')]
    public string $phone = '';

    #[Assert\Regex(self::PHONE, message: 'Digits, spaces and + ( ) / - only, at most 40.')]
    public string $outOfHoursPhone = '';

    #[Assert\Length(max: 200, maxMessage: 'At most 200 characters.')]
    public string $whomToCall = '';

    #[Assert\Length(max: 400, maxMessage: 'At most 400 characters.')]
    public string $paperText = '';

    /** @var array<int, array{string, string}> from and to by weekday; both empty: closed */
    public array $hours = [];

    /** One day a line, or between commas. */
    public string $holidays = '';

    public bool $wantsSecondFactorOfLeads = false;

    public static function of(Clinic $clinic): self
    {
        $input = new self();
        $input->name = $clinic->name;
        $input->zone = $clinic->zone;
        $input->emergencyNumber = $clinic->emergencyNumber;
        $input->phone = $clinic->phone;
        $input->outOfHoursPhone = $clinic->outOfHoursPhone;
        $input->whomToCall = $clinic->whomToCall;
        $input->paperText = $clinic->paperText;
        $input->hours = $clinic->hours;
        $input->holidays = implode("\n", $clinic->holidays);
        $input->wantsSecondFactorOfLeads = $clinic->wantsSecondFactorOfLeads;

        return $input;
    }

    public static function from(Request $request): self
    {
        $typed = $request->request;
        $input = new self();
        foreach (['name', 'zone', 'emergencyNumber', 'phone', 'outOfHoursPhone', 'whomToCall'] as $field) {
            $input->{$field} = trim($typed->getString($field));
        }
        $input->paperText = trim($typed->getString('paperText'));
        $input->holidays = mb_substr($typed->getString('holidays'), 0, 2000);
        $input->wantsSecondFactorOfLeads = '1' === $typed->getString('wantsSecondFactorOfLeads');
        foreach (array_keys(OpeningHours::WEEKDAYS) as $day) {
            $from = trim($typed->getString('from'.$day));
            $to = trim($typed->getString('to'.$day));
            if ('' !== $from.$to) {
                $input->hours[$day] = [$from, $to];
            }
        }

        return $input;
    }

    #[Assert\Callback]
    public function check(ExecutionContextInterface $context): void
    {
        foreach ($this->hours as $day => [$from, $to]) {
            if (!OpeningHours::isTime($from) || !OpeningHours::isTime($to) || $from >= $to) {
                $context->buildViolation(\sprintf(
                    '%s: from and to, such as 08:00 and 16:00.',
                    OpeningHours::WEEKDAYS[$day],
                ))->atPath('hours')->addViolation();
            }
        }
        $days = $this->typedDays();
        foreach ($days as $day) {
            if (null === Dates::day($day)) {
                $context->buildViolation('"{{ day }}" is no day such as 2026-12-24.')
                    ->setParameter('{{ day }}', mb_substr($day, 0, 20))->atPath('holidays')->addViolation();
            }
        }
        if (\count($days) > self::MOST_HOLIDAYS) {
            $context->buildViolation('At most 60 days.')->atPath('holidays')->addViolation();
        }
    }

    public function applyTo(Clinic $clinic): void
    {
        $clinic->name = $this->name;
        $clinic->zone = $this->zone;
        $clinic->emergencyNumber = $this->emergencyNumber;
        $clinic->phone = $this->phone;
        $clinic->outOfHoursPhone = $this->outOfHoursPhone;
        $clinic->whomToCall = $this->whomToCall;
        $clinic->paperText = $this->paperText;
        $clinic->hours = $this->hours;
        $clinic->holidays = $this->typedDays();
        $clinic->wantsSecondFactorOfLeads = $this->wantsSecondFactorOfLeads;
    }

    /** @return list<string> each once, the first first */
    private function typedDays(): array
    {
        $days = preg_split('/[\s,;]+/', $this->holidays, flags: \PREG_SPLIT_NO_EMPTY);
        $days = array_unique(false === $days ? [] : $days);
        sort($days);

        return $days;
    }
}

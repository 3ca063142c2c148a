<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\SittingDefaults;
use Symfony\Component\HttpFoundation\InputBag;

/** A client has one routine of each kind at most. */
enum RoutineKind: string
{
    case Home = 'home';
    /** At home, on every other training day. */
    case Other = 'other';
    /** With a therapist beside the client. */
    case Clinic = 'clinic';
    /** For a day with half the strength. */
    case Short = 'short';

    private const SHORTEST_MINUTES = 6;

    /** @param InputBag<bool|float|int|string> $asked of a form or an address */
    public static function fromForm(InputBag $asked): self
    {
        return self::tryFrom((string) $asked->get('kind', '')) ?? self::Home;
    }

    /** @return array<string, string> what an address needs to name it */
    public function query(): array
    {
        return self::Home === $this ? [] : ['kind' => $this->value];
    }

    public function label(): string
    {
        return match ($this) {
            self::Home => 'At home',
            self::Other => 'B days',
            self::Clinic => 'In the clinic',
            self::Short => 'Short day',
        };
    }

    public function says(): string
    {
        return match ($this) {
            self::Home => 'the client alone or with the helper',
            self::Other => 'what matters most as on A days, other exercises beside it',
            self::Clinic => 'a therapist beside the client',
            self::Short => 'half the time and effort, for a day when the whole is too much',
        };
    }

    public function limits(
        Client $client,
        SittingDefaults $defaults,
        ?\DateTimeImmutable $lastStrengthOn = null,
    ): Limits {
        $minutes = match ($this) {
            self::Home, self::Other => $client->minutes,
            self::Clinic => $defaults->clinicMinutes,
            self::Short => max(self::SHORTEST_MINUTES, intdiv($client->minutes, 2)),
        };

        return new Limits(
            $minutes,
            $minutes * $client->stamina->effortPerMinute($defaults),
            self::Clinic === $this ? $defaults->clinicItems : $defaults->homeItems,
            $lastStrengthOn,
        );
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Client\Stamina;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Setting\Setting;
use HandGarden\Core\Setting\Touches;

/** Whom a setting says something about. */
final readonly class TouchedClients
{
    public function __construct(
        private ClientRepository $clients,
    ) {
    }

    /**
     * @param list<Setting> $settings
     *
     * @return array<string, string> names by id, each once
     */
    public function of(string $clinicId, array $settings): array
    {
        $names = [];
        foreach (array_unique(
            array_map(static fn (Setting $s): string => $s->touches->value, $settings),
        ) as $value) {
            $touches = Touches::from($value);
            foreach ($this->clients->all($clinicId, Touches::Archived === $touches) as $client) {
                if (self::isTouched($client, $touches)) {
                    $names[$client->id] = $client->name();
                }
            }
        }

        return $names;
    }

    private static function isTouched(Client $client, Touches $touches): bool
    {
        return match ($touches) {
            Touches::Everybody, Touches::Archived => true,
            Touches::TiresQuickly => Stamina::Low === $client->stamina,
            Touches::UsualStamina => Stamina::Usual === $client->stamina,
            Touches::GoodStamina => Stamina::Good === $client->stamina,
            Touches::TightHand => \in_array(Condition::Spasticity, $client->conditions(), true),
            Touches::AfterInjection => null !== $client->injectionDay(),
        };
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Client;

use HandGarden\Account\ClinicRepository;
use HandGarden\Account\ClinicSettings;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Screening\Screening;
use HandGarden\Web\Clock;
use Symfony\Contracts\Service\ResetInterface;

/** What has to be seen on every page of a client, always in the same place. */
final class Cautions implements ResetInterface
{
    /** @var array<string, Screening> answers are asked for once a request */
    private array $screenings = [];

    public function __construct(
        private readonly ClientRepository $clients,
        private readonly CatalogueStore $catalogue,
        private readonly ClinicRepository $clinics,
        private readonly ClinicSettings $settings,
        private readonly Clock $clock,
    ) {
    }

    public function screening(Client $client): Screening
    {
        $thresholds = $this->settings->of($client->clinicId)->thresholds();

        return $this->screenings[$client->id] ??= new Screening(
            $this->catalogue->get()->screening,
            $this->clients->screening($client),
            $client->injectionDay(),
            $thresholds->ages->screeningDays,
            caps: $thresholds->caps,
        );
    }

    /** How many questions were not asked on a day or since. */
    public function unaskedSince(Client $client, \DateTimeImmutable $day): int
    {
        $answers = $this->clients->screening($client);
        $unasked = 0;
        foreach ($this->catalogue->get()->screening->questions as $question) {
            $asked = $answers[$question->id][1] ?? null;
            $unasked += null === $asked || $asked->format('Y-m-d') < $day->format('Y-m-d') ? 1 : 0;
        }

        return $unasked;
    }

    public function for(Client $client): CautionsView
    {
        $today = $this->clock->today($client->zone);
        $screening = $this->screening($client);
        $notes = $stops = [];
        foreach ($screening->found($today) as $question) {
            $question->isEmergency || $question->bars->everything
                ? $stops[] = $question->consequence
                : $notes[] = $question->consequence;
        }
        if (null !== $client->injectedOn && $client->injectedOn->modify('+12 weeks') >= $today) {
            $weeks = intdiv(
                (int) $client->injectedOn->diff($today)->format('%a'),
                7,
            );
            $notes[] = \sprintf(
                'Tone injection on %s (week %d): opening and stretch first, no loading to fatigue; re-measure in '
                    .'weeks 2, 6 and 12.',
                $client->injectedOn->format('j M Y'),
                $weeks,
            );
        }
        $unasked = array_filter(
            $screening->unanswered($today),
            static fn ($q): bool => !$q->isNote,
        );

        return new CautionsView(
            $stops,
            $notes,
            \count($unasked),
            $this->clinics->own()->emergencyNumber,
        );
    }

    public function reset(): void
    {
        $this->screenings = [];
    }
}

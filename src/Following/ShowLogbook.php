<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Account\ClinicRepository;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Progress\Decision;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The logbook: a month at a glance, and each thing that happened in it. */
#[Route('/clients/{client}/logbook', name: 'following_logbook', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowLogbook extends AbstractController
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly SittingRepository $sittings,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly ClinicRepository $clinics,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $today = $this->clock->today($client->zone);
        $filter = LogbookFilter::asked($request->query, $today);
        $byDay = [];
        foreach ($this->logbook->of($client, $filter) as $entry) {
            $byDay[$entry->day->format('Y-m-d')][] = $entry;
        }

        return $this->render('Following/logbook.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'filter' => $filter,
            'weeks' => self::weeks($filter->month),
            'byDay' => $byDay,
            'today' => $today,
            'exercises' => $this->exercises($client),
            'called' => $this->called($byDay),
            'parts' => ArmPart::cases(),
            'kinds' => LogbookFilter::KINDS,
            'names' => $this->clinics->namesOfStaff(),
        ]);
    }

    /**
     * @param array<string, non-empty-list<LogbookEntry>> $byDay
     *
     * @return array<string, string> names of the exercises that were decided on, by id
     */
    private function called(array $byDay): array
    {
        $names = [];
        foreach (array_merge(...array_values($byDay)) as $entry) {
            if ($entry->of instanceof Decision) {
                $names[$entry->of->rungId()] = $this->catalogue->get()->nameOf(
                    $entry->of->rungId(),
                );
            }
        }

        return $names;
    }

    /** @return array<string, string> names of what was ever done, by id of the exercise */
    private function exercises(Client $client): array
    {
        $names = [];
        foreach ($this->sittings->everDone($client) as $key) {
            $rungId = ItemKey::fromText($key)->rungId ?? '';
            $names[$rungId] = $this->catalogue->get()->nameOf($rungId);
        }
        asort($names);

        return $names;
    }

    /** @return list<list<\DateTimeImmutable>> from Monday to Sunday */
    private static function weeks(\DateTimeImmutable $month): array
    {
        $day = $month->modify('-'.((int) $month->format('N') - 1).' days');
        $weeks = [];
        do {
            $week = [];
            for ($n = 0; $n < 7; ++$n) {
                $week[] = $day;
                $day = $day->modify('+1 day');
            }
            $weeks[] = $week;
        } while ($day->format('Y-m') === $month->format('Y-m'));

        return $weeks;
    }
}

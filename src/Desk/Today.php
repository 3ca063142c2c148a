<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\Role;
use HandGarden\Account\Who;
use HandGarden\Caseload\Caseload;
use HandGarden\Caseload\CaseloadRow;
use HandGarden\Caseload\Listing;
use HandGarden\Caseload\Renewal;
use HandGarden\Client\Deputies;
use HandGarden\Sitting\Alerts;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who needs me, what do I decide, next client. */
#[Route('/', name: 'desk_today', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class Today extends AbstractController
{
    /** A page works out this many rows itself; the rest says that it is being renewed. */
    private const RENEWS = 5;

    public function __construct(
        private readonly Caseload $caseload,
        private readonly Renewal $renewal,
        private readonly Who $who,
        private readonly ClinicRepository $clinics,
        private readonly Deputies $deputies,
        private readonly Alerts $alerts,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request): Response
    {
        $clinic = $this->clinics->own();
        $covered = $this->deputies->coveredBy(
            $clinic->id,
            $this->who->staff()->id,
            $clinic->zone,
        );
        $listing = new Listing(
            $clinic->id,
            [
                $this->who->staff()->id,
                ...$covered,
            ],
            mb_substr(
                (string) $request->query->get('name', ''),
                0,
                80,
            ),
            '1' === $request->query->get('archived'),
            isLead: Role::Lead === $this->who->staff()->role,
            of: self::therapist((string) $request->query->get(
                'of',
                '',
            )),
        );
        $page = max(
            1,
            $request->query->getInt('page', 1),
        );
        $rows = $this->rows($listing, $page);
        $counts = $this->caseload->counts($listing); // after what was worked out just now
        $this->audit->read(
            $listing->isArchive ? 'archive' : 'desk_today',
            null,
        );
        $names = $this->clinics->namesOfStaff();
        $onlyList = $request->headers->has('X-Results-Only');

        return $this->render($onlyList ? 'Desk/_list.html.twig' : 'Desk/today.html.twig', [
            'groups' => self::grouped($rows),
            'counts' => $counts,
            'found' => array_sum($counts),
            'page' => $page,
            'pages' => max(
                1,
                (int) ceil(array_sum($counts) / Caseload::PAGE),
            ),
            'name' => $listing->words,
            'archived' => $listing->isArchive,
            'of' => $listing->of,
            'staff' => $names,
            'open' => $listing->isLead && 1 === $page ? $this->alerts->openByOwner($clinic->id) : [],
            'clinic' => $clinic,
            'now' => $this->clock->now(),
            'covered' => [] === $covered
                ? []
                : array_intersect_key($names, array_flip($covered)),
        ]);
    }

    private static function therapist(string $asked): string
    {
        return 1 === preg_match('/^[0-9a-f-]{36}$/D', $asked) ? $asked : '';
    }

    /** @return list<CaseloadRow> */
    private function rows(Listing $listing, int $page): array
    {
        $rows = $this->caseload->page($listing, $page);
        $stale = array_map(
            static fn (CaseloadRow $r): string => $r->clientId,
            array_values(
                array_filter(
                    $rows,
                    static fn (CaseloadRow $r): bool => $r->isStale,
                ),
            ),
        );
        if ([] === $stale || $listing->isArchive) {
            return $rows;
        }
        $this->renewal->renew(self::RENEWS, $stale);

        return $this->caseload->page($listing, $page);
    }

    /**
     * @param list<CaseloadRow> $rows
     *
     * @return array<string, non-empty-list<CaseloadRow>> by group, in their order
     */
    private static function grouped(array $rows): array
    {
        $groups = [];
        foreach ($rows as $row) {
            $groups[$row->group->value][] = $row;
        }

        return $groups;
    }
}

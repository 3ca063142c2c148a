<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\Audit;
use HandGarden\Account\Clinic;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\SettingChanges;
use HandGarden\Account\Who;
use HandGarden\Caseload\Caseload;
use HandGarden\Core\Setting\Setting;
use HandGarden\Core\Setting\SettingGroup;
use HandGarden\Core\Setting\SettingList;
use HandGarden\Core\Setting\SettingValues;
use HandGarden\Web\Seen;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/**
 * The figures of a clinic, each within its safe bounds. What was typed is shown once more with the clients it touches
 * before it is kept.
 */
#[Route('/clinic/settings/{group}', name: 'office_settings', methods: ['GET', 'POST'])]
#[IsGranted('ROLE_LEAD')]
final class SetSettings extends AbstractController
{
    public function __construct(
        private readonly ClinicRepository $clinics,
        private readonly SettingChanges $changes,
        private readonly TouchedClients $touched,
        private readonly Caseload $caseload,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Wording $wording,
    ) {
    }

    public function __invoke(Request $request, SettingGroup $group = SettingGroup::Progress): Response
    {
        $clinic = $request->isMethod('POST') ? $this->clinics->ownToChange() : $this->clinics->own();
        $rows = $this->rows($clinic, $group);
        $seen = Seen::mark(...array_map(static fn (SettingRow $r): string => $r->keptText(), $rows));
        $isStale = $request->isMethod('POST') && Seen::isStale($request, $seen);
        $typed = $this->typed($request, $rows);
        $problems = $request->isMethod('POST') ? $this->problems($clinic, $rows, $typed, $isStale) : [];
        $changed = array_values(array_filter(
            $rows,
            static fn (SettingRow $r): bool => $typed[$r->field()] !== $r->keptText(),
        ));
        $isSure = '1' === $request->request->getString('sure') && !$isStale;
        if ($request->isMethod('POST') && [] === $problems && $isSure) {
            $this->keep($clinic, $changed, $typed);
            $this->addFlash('done', 'Kept. What is suggested and asked from now on follows it.');

            return $this->redirectToRoute(
                'office_settings',
                ['group' => $group->value],
                Response::HTTP_SEE_OTHER,
            );
        }

        return $this->render('Office/settings.html.twig', [
            'clinic' => $clinic,
            'group' => $group,
            'groups' => SettingGroup::cases(),
            'rows' => $rows,
            'names' => $this->clinics->namesOfStaff(),
            'typed' => $typed,
            'problems' => $problems,
            'changed' => $changed,
            'touched' => $request->isMethod('POST') && [] === $problems
                ? $this->touched->of(
                    $clinic->id,
                    array_map(static fn (SettingRow $r): Setting => $r->setting, $changed),
                )
                : [],
            'isLooking' => $request->isMethod('POST') && [] === $problems && [] !== $changed,
            'isStale' => $isStale,
            'seen' => $seen,
        ], new Response(status: match (true) {
            $isStale => Response::HTTP_CONFLICT,
            [] !== $problems => Response::HTTP_UNPROCESSABLE_ENTITY,
            default => Response::HTTP_OK,
        }));
    }

    /** @return list<SettingRow> */
    private function rows(Clinic $clinic, SettingGroup $group): array
    {
        $values = new SettingValues($clinic->settings);
        $last = $this->changes->last($clinic->id);

        return array_map(
            static fn (Setting $s): SettingRow => new SettingRow(
                $s,
                $values->value($s),
                $last[$s->key()] ?? null,
            ),
            array_values(SettingList::of($group)),
        );
    }

    /**
     * @param list<SettingRow> $rows
     *
     * @return array<string, string> by field; a default that was asked back is typed in
     */
    private function typed(Request $request, array $rows): array
    {
        $typed = [];
        foreach ($rows as $row) {
            $typed[$row->field()] = $row->field() === $request->request->getString('default')
                ? $row->defaultText()
                : mb_substr(trim($request->request->getString($row->field(), $row->keptText())), 0, 20);
        }

        return $typed;
    }

    /**
     * @param list<SettingRow>      $rows
     * @param array<string, string> $typed
     *
     * @return array<string, string> by field
     */
    private function problems(Clinic $clinic, array $rows, array $typed, bool $isStale): array
    {
        $problems = [];
        $values = $clinic->settings;
        foreach ($rows as $row) {
            $value = SettingRow::read($row->setting, $typed[$row->field()]);
            $values[$row->setting->key()] = $value ?? $row->kept;
            if (null === $value) {
                $problems[$row->field()] = \sprintf(
                    'A number from %s to %s.',
                    $row->leastText(),
                    $row->mostText(),
                );
            } elseif ($isStale && $typed[$row->field()] !== $row->keptText()) {
                $problems[$row->field()] = 'Kept meanwhile: '.$row->keptText();
            }
        }
        foreach (SettingList::outOfOrder(new SettingValues($values)) as [$less, $more]) {
            $own = $less->group === $rows[0]->setting->group ? $less : $more;
            $problems[$own->name] ??= \sprintf(
                '"%s" is not more than "%s".',
                $this->wording->word('setting.'.$less->key()),
                $this->wording->word('setting.'.$more->key()),
            );
        }

        return $problems;
    }

    /**
     * @param list<SettingRow>      $changed
     * @param array<string, string> $typed
     */
    private function keep(Clinic $clinic, array $changed, array $typed): void
    {
        foreach ($changed as $row) {
            $value = SettingRow::read($row->setting, $typed[$row->field()]) ?? $row->setting->default;
            $this->changes->set($clinic, $row->setting, $value, $this->who->staff()->id);
            $this->audit->wrote('set '.$row->setting->key(), null, $typed[$row->field()]);
        }
        $this->caseload->markAll($clinic->id);
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Format\DoseFormat;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\InvalidDose;
use HandGarden\Core\Routine\Hands;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Changes the routine by hand: add, move, remove, dose. Rules that then are not kept are shown beside it. */
#[Route('/clients/{client}/routine', name: 'planning_edit_routine', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class EditRoutine extends AbstractController
{
    public function __construct(
        private readonly Plan $plan,
        private readonly GivenDose $given,
        private readonly PlanRepository $plans,
        private readonly CatalogueStore $catalogue,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $this->plans->together(function () use ($request, $client): void {
            $routine = $this->plans->routine($client);
            if (null !== $routine) {
                $this->plans->lock($routine);
            }
            if (null !== $routine && (string) $routine->version !== (string) $request->request->get('version', '')) {
                $this->addFlash('problem', 'Somebody else changed this routine meanwhile. It is shown as it is now; your change ('.$this->inWords($request).') was not made. Do it again if it still fits.');

                return;
            }
            $items = $this->plan->itemsOf($routine);
            $changed = $this->change($items, $request, $client);
            if (null === $changed) {
                return;
            }
            if (null === $routine) {
                $routine = new SavedRoutine($client->clinicId, $client->id, [], [], [], false, $this->who->staff()->id, $this->clock->now());
            }
            $routine->items = RoutineFormat::write($changed);
            $this->plans->keep($routine);
            $this->audit->wrote('changed routine: '.mb_substr((string) $request->request->get('do', ''), 0, 20), $client->id, $routine->id);
        });

        return $this->redirect($this->generateUrl('planning_routine', ['client' => $client->id]).'#items', Response::HTTP_SEE_OTHER);
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item>|null null: refused, and the reason is said
     */
    private function change(array $items, Request $request, Client $client): ?array
    {
        $at = $request->request->getInt('item', -1);
        $do = (string) $request->request->get('do', '');
        if ('add' === $do) {
            return $this->add($items, $request, $client);
        }
        if (!isset($items[$at])) {
            $this->addFlash('problem', 'That item is no longer in the routine.');

            return null;
        }

        return match ($do) {
            'remove' => array_values(array_filter($items, static fn (int $i): bool => $i !== $at, \ARRAY_FILTER_USE_KEY)),
            'up' => self::swap($items, $at, $at - 1),
            'down' => self::swap($items, $at, $at + 1),
            'dose' => $this->dose($items, $at, $request, $client),
            default => null,
        };
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item>|null
     */
    private function add(array $items, Request $request, Client $client): ?array
    {
        $rungId = (string) $request->request->get('rung', '');
        $hands = Hands::tryFrom((string) $request->request->get('hands', ''));
        $note = trim((string) $request->request->get('note', ''));
        if (!$this->catalogue->get()->hasRung($rungId) || null === $hands || '' === $note || mb_strlen($note) > 300) {
            $this->addFlash('problem', 'To add an item choose it, say for which hand, and note why in up to 300 letters.');

            return null;
        }
        $rung = $this->catalogue->get()->rung($rungId);
        $ladder = $this->catalogue->get()->ladderOf($rungId);
        $blocks = $this->plan->facts($client)->screening->blocks($rung, $ladder->strand->value, false, $this->clock->today($client->zone));
        if ([] !== $blocks) {
            $this->addFlash('problem', $rung->name.' is kept out by screening. '.$blocks[0]->text());

            return null;
        }
        $item = new Item($rung, $hands, $this->plans->doses($client)[$rungId.'|'.$hands->value] ?? $rung->startDose, 'Added by the therapist', null, null, $note);
        $last = array_key_last($items);
        if (null !== $last && SittingRules::isCoolDown($items[$last])) {
            return [...\array_slice($items, 0, $last), $item, $items[$last]]; // the cool-down stays last
        }

        return [...$items, $item];
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item>|null
     */
    private function dose(array $items, int $at, Request $request, Client $client): ?array
    {
        $item = $items[$at];
        $form = $request->request;
        $load = $form->get('load');
        try {
            $dose = Dose::of(
                GivenDose::number($form, 'sets', $item->dose->sets),
                GivenDose::number($form, 'repetitions', $item->dose->repetitions),
                $item->dose->parts,
                GivenDose::number($form, 'move', $item->dose->moveSeconds),
                GivenDose::number($form, 'hold', $item->dose->holdSeconds),
                $item->dose->restSeconds,
                is_numeric($load) ? (float) $load : $item->dose->loadKilograms,
            );
            $this->given->check($client, $item->rung, $dose);
        } catch (InvalidDose $e) {
            $this->addFlash('problem', $e->getMessage());

            return null;
        }
        $this->plans->keep(new PrescribedDose($client->clinicId, $client->id, $item->key(), DoseFormat::write($dose), $this->who->staff()->id, $this->clock->now()));
        $items[$at] = $item->withDose($dose);

        return array_values($items);
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item>
     */
    private static function swap(array $items, int $a, int $b): array
    {
        if (isset($items[$a], $items[$b])) {
            [$items[$a], $items[$b]] = [$items[$b], $items[$a]];
        }

        return array_values($items);
    }

    private function inWords(Request $request): string
    {
        return match ((string) $request->request->get('do', '')) {
            'add' => 'add '.$request->request->get('rung').': '.$request->request->get('note'),
            'dose' => \sprintf('dose: %s sets of %s, hold %s s', $request->request->get('sets'), $request->request->get('repetitions'), $request->request->get('hold')),
            default => (string) $request->request->get('do', ''),
        };
    }
}

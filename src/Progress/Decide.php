<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\InvalidDose;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Planning\GivenDose;
use HandGarden\Planning\PlanRepository;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Accepts, adjusts or declines a proposal, and carries out what was accepted. */
#[IsGranted('ROLE_THERAPIST')]
final class Decide extends AbstractController
{
    public function __construct(
        private readonly OpenProposals $open,
        private readonly DecisionRepository $decisions,
        private readonly Acts $acts,
        private readonly Restraints $restraints,
        private readonly PlanRepository $plans,
        private readonly Reopening $reopening,
        private readonly Wording $wording,
        private readonly GivenDose $given,
        private readonly CatalogueStore $catalogue,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/{client}/decisions', name: 'progress_decide', methods: ['POST'])]
    public function decide(Request $request, Client $client): Response
    {
        $answer = DecisionAnswer::tryFrom((string) $request->request->get(
            'answer',
            '',
        ));
        $note = mb_substr(
            trim((string) $request->request->get('note', '')),
            0,
            300,
        );
        $proposal = $this->find(
            $client,
            (string) $request->request->get('proposal', ''),
        );
        if (null === $proposal || null === $answer) {
            $this->addFlash(
                'problem',
                'This proposal was answered already, or newer sittings have changed it. Nothing was done.',
            );

            return $this->back($client);
        }
        try {
            $dose = $this->doseFor(
                $client,
                $proposal,
                $answer,
                $request,
            );
        } catch (InvalidDose $e) {
            $this->addFlash(
                'problem',
                $e->getMessage().' Nothing was changed.',
            );

            return $this->back($client);
        }
        $this->answer(
            $client,
            $proposal,
            $answer,
            $dose,
            note: $note,
        );
        $this->addFlash(
            'done',
            ucfirst($answer->value).'.',
        );

        return $this->back($client);
    }

    /** Steps up that were ticked, each seen as a line of its own. What has changed meanwhile is left as it is. */
    #[Route('/clients/{client}/decisions/steps', name: 'progress_decide_steps', methods: ['POST'])]
    public function several(Request $request, Client $client): Response
    {
        $keys = array_filter(
            $request->request->all('steps'),
            \is_string(...),
        );
        $taken = 0;
        foreach ($keys as $key) {
            $proposal = $this->find($client, $key);
            if (null === $proposal || ProposalKind::Advance !== $proposal->kind) {
                continue;
            }
            $dose = $this->doseFor(
                $client,
                $proposal,
                DecisionAnswer::Accepted,
                $request,
            );
            $this->answer(
                $client,
                $proposal,
                DecisionAnswer::Accepted,
                $dose,
                note: '',
            );
            ++$taken;
        }
        if ($taken > 0) {
            $this->addFlash(
                'done',
                1 === $taken ? 'One step up accepted.' : $taken.' steps up accepted.',
            );
        }
        $left = \count($keys) - $taken;
        if ($left > 0 || [] === $keys) {
            $this->addFlash('problem', [] === $keys
                ? 'No step was ticked. Nothing was done.'
                : $left.' of them were answered already, or newer sittings have changed them: left as they are.');
        }

        return $this->back($client);
    }

    private function answer(
        Client $client,
        Proposal $proposal,
        DecisionAnswer $answer,
        ?Dose $dose,
        string $note,
    ): void {
        $by = $this->who->actor();
        $this->plans->together(function () use (
            $client,
            $proposal,
            $answer,
            $dose,
            $note,
            $by,
        ): void {
            $this->decisions->keep(
                Decision::on(
                    $client,
                    $proposal,
                    $answer,
                    $note,
                    by: $by,
                    at: $this->clock->now(),
                ),
            );
            $this->restraints->end(
                $client,
                $proposal->key(),
            );
            if (DecisionAnswer::Declined !== $answer) {
                $this->acts->carryOut($client, $proposal, $dose);
            }
        });
        $this->audit->wrote(
            $answer->value.' proposal',
            $client->id,
            mb_substr($proposal->key(), 0, 80),
        );
    }

    #[Route('/clients/{client}/suspensions/{suspension}', name: 'progress_reopen', methods: ['POST'])]
    public function reopen(Request $request, Client $client, string $suspension): Response
    {
        $note = trim((string) $request->request->get(
            'note',
            '',
        ));
        foreach ($this->plans->suspensions($client) as $open) {
            if ($open->id !== $suspension) {
                continue;
            }
            if ('' === $note || mb_strlen($note) > 300) {
                $this->addFlash(
                    'problem',
                    'Say in a few words what was found; then it is reopened.',
                );

                return $this->back($client);
            }
            $bars = $this->reopening->bars($client, $open);
            if (null !== $bars) {
                $this->addFlash(
                    'problem',
                    $this->wording->say($bars).' Nothing was reopened; you had written ‘'.$note.'’.',
                );

                return $this->back($client);
            }
            $this->reopening->reopen($open, $note);
            $this->audit->wrote(
                'reopened',
                $client->id,
                $open->id,
            );
            $this->addFlash('done', 'Reopened.');

            return $this->back($client);
        }
        if (!$this->plans->wasReopened($client, $suspension)) {
            throw $this->createNotFoundException('No such suspension.');
        }
        $this->addFlash('problem', \sprintf(
            'Somebody else reopened already what rested here. Nothing more was done%s.',
            '' === $note ? '' : '; you had written ‘'.mb_substr($note, 0, 300).'’',
        ));

        return $this->back($client);
    }

    private function find(Client $client, string $key): ?Proposal
    {
        foreach ($this->open->for($client) as $proposal) {
            if ($proposal->key() === $key) {
                return $proposal;
            }
        }

        return null;
    }

    /**
     * What was proposed, no longer than screening allows, or what the therapist made of it.
     *
     * @throws InvalidDose when an adjusted dose lies outside the rung's range or what screening allows
     */
    private function doseFor(
        Client $client,
        Proposal $proposal,
        DecisionAnswer $answer,
        Request $request,
    ): ?Dose {
        if (null === $proposal->to || null === $proposal->rungId) {
            return $proposal->to;
        }
        $rung = $this->catalogue->get()->rung($proposal->rungId);
        if (DecisionAnswer::Adjusted !== $answer) {
            return $this->given->shortened(
                $client,
                $rung,
                $proposal->to,
            );
        }
        $form = $request->request;

        return $this->given->check($client, $rung, $proposal->to
            ->withSets(GivenDose::number(
                $form,
                'sets',
                $proposal->to->sets,
            ))
            ->withRepetitions(GivenDose::number(
                $form,
                'repetitions',
                $proposal->to->repetitions,
            ))
            ->withHold(GivenDose::number(
                $form,
                'hold',
                $proposal->to->holdSeconds,
            )));
    }

    private function back(Client $client): Response
    {
        return $this->redirectToRoute(
            'progress_decisions',
            ['client' => $client->id, '_fragment' => 'next'],
            Response::HTTP_SEE_OTHER,
        );
    }
}

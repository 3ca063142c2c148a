<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Progress\UsualPain;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A therapist says which pain is there anyway, and why. */
#[Route('/clients/{client}/usual-pain', name: 'progress_usual_pain', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class NoteUsualPain extends AbstractController
{
    private const CAUSE = 200;

    public function __construct(
        private readonly UsualPains $usual,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $form = $request->request;
        $part = ArmPart::tryFrom((string) $form->get('part', ''));
        $side = Side::tryFrom((string) $form->get('side', ''));
        $level = (string) $form->get('level', '');
        $cause = trim((string) $form->get('cause', ''));
        if (
            null === $part || null === $side
            || 1 !== preg_match('/^\d$/', $level) || (int) $level > UsualPain::MOST
            || '' === $cause || mb_strlen($cause) > self::CAUSE
        ) {
            $this->addFlash('problem', \sprintf(
                'Say the part, the side, a level of 0 to %d and in up to %d letters the cause; nothing was noted%s.',
                UsualPain::MOST,
                self::CAUSE,
                '' === $cause ? '' : ' (you had written ‘'.mb_substr($cause, 0, self::CAUSE).'’)',
            ));
        } else {
            $note = new UsualPainNote(
                $client->clinicId,
                $client->id,
                $part,
                $side,
                level: (int) $level,
                cause: $cause,
                byStaffId: $this->who->staff()->id,
                at: $this->clock->now(),
            );
            $this->usual->keep($note);
            $this->audit->wrote('noted usual pain', $client->id, $note->id);
            $this->addFlash('done', 'Noted; it holds for '.UsualPain::DAYS.' days.');
        }

        return $this->redirectToRoute(
            'progress_decisions',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }
}

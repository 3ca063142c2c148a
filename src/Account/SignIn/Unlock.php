<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use HandGarden\Account\Who;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Contracts\Translation\TranslatorInterface;

/** A page that hid itself asks whether it may show itself again, and says that somebody is still there. */
#[IsGranted('ROLE_STAFF')]
final class Unlock extends AbstractController
{
    public function __construct(
        private readonly Who $who,
        private readonly Again $again,
        private readonly SessionClock $session,
        private readonly HiddenPage $page,
        private readonly TranslatorInterface $translator,
    ) {
    }

    #[Route('/unlock', name: 'account_unlock', methods: ['POST'])]
    public function unlock(Request $request): Response
    {
        $isWhole = Standing::Over === $this->session->standing();
        $problem = $this->again->problem($request, $this->who->staff(), $isWhole);
        $then = $request->request->getString(HiddenPage::THEN);
        if ('' !== $then) {
            return null === $problem
                ? new RedirectResponse(self::inHere($then), Response::HTTP_SEE_OTHER)
                : $this->page->show($request, $this->who->staff(), $isWhole, $problem);
        }

        return null === $problem
            ? new Response(status: Response::HTTP_NO_CONTENT)
            : new JsonResponse(
                [
                    'problem' => $this->translator->trans($problem),
                    'wantsCode' => $isWhole && null !== $this->who->staff()->secondFactor,
                ],
                Response::HTTP_UNPROCESSABLE_ENTITY,
            );
    }

    /** An address of this house, whatever was sent. */
    private static function inHere(string $then): string
    {
        return 1 === preg_match('~^/(?![/\\\\])~D', $then) ? $then : '/';
    }

    /** The limits have noted it already. */
    #[Route('/still-here', name: 'account_still_here', methods: ['POST'])]
    public function stillHere(): Response
    {
        return new Response(status: Response::HTTP_NO_CONTENT);
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ControllerEvent;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Component\Security\Csrf\CsrfToken;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;

/** Every request that may change something carries the token of its session, in the form or in a header. */
#[AsEventListener(KernelEvents::CONTROLLER)]
final readonly class FormTokens
{
    public const ID = 'garden';

    public function __construct(
        private CsrfTokenManagerInterface $tokens,
    ) {
    }

    public function __invoke(ControllerEvent $event): void
    {
        $request = $event->getRequest();
        if (
            !$event->isMainRequest()
            || $request->isMethodSafe()
            || 'account_sign_in' === $request->attributes->get('_route')
            || true === $request->attributes->get('_stateless')
        ) {
            return; // signing in has a token of its own; where there is no session nobody can be made to send something
        }
        $token = $request->headers->get('X-Garden-Token')
            ?? (string) $request->request->get('_token');
        if (!$this->tokens->isTokenValid(new CsrfToken(self::ID, $token))) {
            throw new BadRequestHttpException(
                'This form is too old. Go back, load the page again and send it once more; nothing was changed.',
            );
        }
    }
}

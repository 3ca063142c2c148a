<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Doctrine\DBAL\Connection;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\Session\FlashBagAwareSessionInterface;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;

/**
 * A form that is sent twice is done once.
 *
 * Each form carries an id of its own. The first sending notes it together with what was typed, in the commit of what
 * it does; the same once more waits for that and is answered with where the first one led. Something else under the
 * same id, after a step back in the browser, is a sending of its own, and one that was refused can be sent again.
 */
final class OnceOnly
{
    public const FIELD = '_request';
    private const ATTRIBUTE = '_once_only';

    public function __construct(
        private readonly Connection $connection,
        private readonly TokenStorageInterface $tokens,
        private readonly Clock $clock,
    ) {
    }

    /** After the person is known, before the page is. */
    #[AsEventListener(KernelEvents::REQUEST, priority: 4)]
    public function begin(RequestEvent $event): void
    {
        $request = $event->getRequest();
        $key = $event->isMainRequest() ? $this->keyOf($request) : null;
        if (null === $key) {
            return;
        }
        $isFirst = 1 === $this->connection->executeStatement(
            'INSERT INTO form_sent (key, at) VALUES (?, ?) ON CONFLICT (key) DO NOTHING',
            [$key, $this->clock->now()->format(\DATE_RFC3339)],
        );
        if ($isFirst) {
            $request->attributes->set(self::ATTRIBUTE, $key);
        } else {
            $event->setResponse($this->again($request, $key));
        }
    }

    #[AsEventListener(KernelEvents::RESPONSE)]
    public function end(ResponseEvent $event): void
    {
        $key = $event->getRequest()->attributes->get(self::ATTRIBUTE);
        if (!\is_string($key) || !$event->isMainRequest()) {
            return;
        }
        $response = $event->getResponse();
        if ($response->isRedirection()) {
            $this->connection->update(
                'form_sent',
                ['led_to' => $response->headers->get('Location')],
                ['key' => $key],
            );
        } else {
            $this->connection->delete('form_sent', ['key' => $key]); // it was refused: it can be sent again
        }
    }

    /** What was sent days ago is not sent again. */
    public function forgetBefore(\DateTimeImmutable $instant): void
    {
        $this->connection->executeStatement(
            'DELETE FROM form_sent WHERE at < ?',
            [$instant->format(\DATE_RFC3339)],
        );
    }

    private function keyOf(Request $request): ?string
    {
        // A script that sends drafts wants its answer each time; a browser says how it sends.
        $isPage = \in_array($request->headers->get('Sec-Fetch-Mode', 'navigate'), ['navigate', null], true);
        $id = $isPage && $request->isMethod('POST') ? $request->request->all()[self::FIELD] ?? null : null;
        $user = $this->tokens->getToken()?->getUserIdentifier();
        if (!\is_string($id) || '' === $id || null === $user) {
            return null;
        }

        return hash('sha256', json_encode(
            [$user, $request->getPathInfo(), $request->request->all(), self::filesOf($request)],
            \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE,
        ));
    }

    /** @return list<string> a hash of each file that came along */
    private static function filesOf(Request $request): array
    {
        $hashes = [];
        foreach ($request->files as $file) {
            if ($file instanceof UploadedFile && $file->isValid()) {
                $hashes[] = (string) hash_file('sha256', $file->getPathname());
            }
        }

        return $hashes;
    }

    private function again(Request $request, string $key): Response
    {
        $ledTo = $this->connection->fetchOne('SELECT led_to FROM form_sent WHERE key = ?', [$key]);
        $session = $request->getSession();
        if ($session instanceof FlashBagAwareSessionInterface) {
            $session->getFlashBag()->add('done', 'That was sent twice and is done once.');
        }

        return new RedirectResponse(\is_string($ledTo) ? $ledTo : '/', Response::HTTP_SEE_OTHER);
    }
}

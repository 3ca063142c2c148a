<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;

/**
 * A browser in which somebody has signed in before. It opens nothing: it has tries of its own, see Throttle.
 *
 * Its cookie holds a random name of the browser and, for each who signed in, a mark made of both; no address.
 */
final readonly class KnownBrowser
{
    public const COOKIE = 'garden_browser';
    private const MOST_PEOPLE = 12;
    private const FOR = '+400 days';
    private const MARK_CHARACTERS = 22;

    public function __construct(
        #[\SensitiveParameter]
        private string $appSecret,
    ) {
    }

    /** The name of the browser; null: this person has not signed in here. */
    public function of(Request $request, string $email): ?string
    {
        $parts = self::read($request);
        $name = array_shift($parts);

        return null !== $name && \in_array($this->mark($name, $email), $parts, true) ? $name : null;
    }

    public function remember(Request $request, string $email, \DateTimeImmutable $now): Cookie
    {
        $parts = self::read($request);
        $name = array_shift($parts) ?? bin2hex(random_bytes(16));
        $people = array_unique([$this->mark($name, $email), ...$parts]);

        return Cookie::create(self::COOKIE)
            ->withValue(implode('.', [$name, ...\array_slice($people, 0, self::MOST_PEOPLE)]))
            ->withExpires($now->modify(self::FOR))
            ->withPath('/')
            ->withSecure($request->isSecure())
            ->withHttpOnly()
            ->withSameSite(Cookie::SAMESITE_STRICT);
    }

    /** @return list<string> */
    private static function read(Request $request): array
    {
        $value = (string) $request->cookies->get(self::COOKIE);

        return 1 === preg_match('/^[0-9a-f]{32}(\.[\w-]{22}){1,12}$/D', $value) ? explode('.', $value) : [];
    }

    private function mark(string $name, string $email): string
    {
        $mac = hash_hmac('sha256', $name.'|'.mb_strtolower(trim($email)), $this->appSecret, binary: true);

        return substr(strtr(base64_encode($mac), '+/', '-_'), 0, self::MARK_CHARACTERS);
    }
}

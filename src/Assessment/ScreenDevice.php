<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Tells two alike screens apart: each browser carries a random name of its own, so that a scale is not taken for
 * another's.
 */
final readonly class ScreenDevice
{
    private const COOKIE = 'garden_screen';

    private function __construct(
        public string $name,
        private bool $isNew,
    ) {
    }

    public static function from(Request $request): self
    {
        $name = (string) $request->cookies->get(self::COOKIE, '');

        return 1 === preg_match('/^[0-9a-f]{16}$/', $name)
            ? new self($name, false)
            : new self(bin2hex(random_bytes(8)), true);
    }

    /** What the browser says of screen and zoom, behind the name of the device; at most what the record holds. */
    public function screen(string $says): string
    {
        return $this->name.'|'.mb_substr(
            (string) preg_replace('/[^0-9a-zA-Z@x.:_-]/', '', $says),
            0,
            90,
        );
    }

    public function mark(Response $response): Response
    {
        if ($this->isNew) {
            $response->headers->setCookie(
                Cookie::create(
                    self::COOKIE,
                    $this->name,
                    new \DateTimeImmutable('+1 year'),
                    '/clients',
                    domain: null,
                    secure: null,
                    httpOnly: true,
                    raw: false,
                    sameSite: Cookie::SAMESITE_STRICT,
                ),
            );
        }

        return $response;
    }
}

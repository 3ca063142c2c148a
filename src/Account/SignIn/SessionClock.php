<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use HandGarden\Account\Staff;
use HandGarden\Web\Clock;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpFoundation\Session\SessionInterface;

/** What a session knows of time: since when, when last, and when its person last proved who they are. */
final readonly class SessionClock
{
    public const IDLE_SECONDS = 1800;
    private const WHOLE_SECONDS = 43_200;
    /** A dangerous act asks again for the password after so long. */
    private const PROVED_SECONDS = 600;
    /** Half a signing in: the password was right, the code is waited for. */
    private const HALF_SECONDS = 300;
    /** Written anew no sooner: two requests at once would write over each other. */
    private const TOUCH_SECONDS = 60;

    private const SINCE = 'garden.since';
    private const LAST = 'garden.last';
    private const PROVED = 'garden.proved';
    private const HALF = 'garden.half';

    public function __construct(
        private RequestStack $requests,
        private Clock $clock,
    ) {
    }

    public function begin(): void
    {
        $now = $this->now();
        $this->session()->remove(self::HALF);
        foreach ([self::SINCE, self::LAST, self::PROVED] as $key) {
            $this->session()->set($key, $now);
        }
    }

    public function standing(): Standing
    {
        $now = $this->now();

        return match (true) {
            $now - $this->read(self::SINCE, $now) >= self::WHOLE_SECONDS => Standing::Over,
            $now - $this->read(self::LAST, $now) >= self::IDLE_SECONDS => Standing::Idle,
            default => Standing::Live,
        };
    }

    /** Somebody is there. */
    public function touch(): void
    {
        $now = $this->now();
        if (!$this->session()->has(self::SINCE)) {
            $this->session()->set(self::SINCE, $now);
        }
        if ($now - $this->read(self::LAST, 0) >= self::TOUCH_SECONDS) {
            $this->session()->set(self::LAST, $now);
        }
    }

    public function prove(): void
    {
        $this->session()->set(self::PROVED, $this->now());
    }

    public function isProved(): bool
    {
        return $this->now() - $this->read(self::PROVED, 0) < self::PROVED_SECONDS;
    }

    public function waitForCode(Staff $staff): void
    {
        $this->session()->set(self::HALF, [$staff->id, hash('crc32c', $staff->password), $this->now()]);
    }

    /** @return ?array{string, string} id and mark of the password of who is waited for */
    public function waitedFor(): ?array
    {
        $half = $this->session()->get(self::HALF);

        return \is_array($half)
            && \is_string($half[0] ?? null)
            && \is_string($half[1] ?? null)
            && \is_int($half[2] ?? null)
            && $this->now() - $half[2] < self::HALF_SECONDS
            ? [$half[0], $half[1]]
            : null;
    }

    private function read(string $key, int $otherwise): int
    {
        $value = $this->session()->get($key);

        return \is_int($value) ? $value : $otherwise;
    }

    private function now(): int
    {
        return $this->clock->now()->getTimestamp();
    }

    private function session(): SessionInterface
    {
        return $this->requests->getSession();
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Web\KnownHost;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;

/** Which name the house answers to, and that what came over TLS stays with it. */
final class KnownHostTest extends TestCase
{
    protected function tearDown(): void
    {
        Request::setTrustedProxies([], Request::HEADER_X_FORWARDED_PROTO);
    }

    #[TestWith(['https://hands.example', true, 'hands.example', true])]
    #[TestWith(['https://hands.example', true, 'HANDS.example:443', true])]
    #[TestWith(['https://hands.example', true, '127.0.0.1:8080', true])]
    #[TestWith(['https://hands.example', true, 'evil.example', false])]
    #[TestWith(['https://hands.example', false, '127.0.0.1', false])]
    #[TestWith(['', true, '[::1]:8080', true])]
    #[TestWith(['', true, 'hands.example', false])]
    #[TestWith(['', true, '', false])]
    public function testTheHouseAnswersToItsOwnName(
        string $public,
        bool $loopback,
        string $host,
        bool $isAnswered,
    ): void {
        $request = new Request();
        $request->headers->set('Host', $host);
        $event = new RequestEvent($this->kernel(), $request, HttpKernelInterface::MAIN_REQUEST);
        (new KnownHost($public, $loopback))->check($event);

        self::assertSame($isAnswered, !$event->hasResponse());
    }

    /** @param list<string> $proxies */
    #[TestWith([['127.0.0.1'], 'https', true])]
    #[TestWith([['127.0.0.1'], 'http', false])]
    #[TestWith([[], 'https', false])]
    public function testOverTlsItSaysToComeBackOverTlsAndBelievesOnlyItsProxy(
        array $proxies,
        string $protocol,
        bool $isSaid,
    ): void {
        Request::setTrustedProxies($proxies, Request::HEADER_X_FORWARDED_PROTO);
        $request = Request::create('http://hands.example/', server: [
            'REMOTE_ADDR' => '127.0.0.1',
            'HTTP_X_FORWARDED_PROTO' => $protocol,
        ]);
        $response = new Response();
        (new KnownHost('https://hands.example', true))->keepToTls(
            new ResponseEvent($this->kernel(), $request, HttpKernelInterface::MAIN_REQUEST, $response),
        );

        self::assertSame($isSaid, $response->headers->has('Strict-Transport-Security'));
    }

    private function kernel(): HttpKernelInterface
    {
        return self::createStub(HttpKernelInterface::class);
    }
}

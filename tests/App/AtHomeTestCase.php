<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Staff;
use HandGarden\Client\Helper;
use HandGarden\Client\HelperKind;
use HandGarden\Client\Helpers;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Core\Home\ConsentWay;
use HandGarden\Home\Consent;
use HandGarden\Home\HomeDevice;
use Symfony\Component\BrowserKit\Cookie;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Uid\Uuid;

/** Odalys has a routine, her clinic its numbers: devices may be let in. */
abstract class AtHomeTestCase extends OdalysTestCase
{
    private const BROWSER = '018f3a52-0000-7000-8000-000000000001';

    private int $seq = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $clinic = $this->quayside();
        $clinic->phone = '555 0101';
        $clinic->outOfHoursPhone = '555 0199';
        $this->entities->flush();
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
    }

    protected function agree(ConsentKind $kind): void
    {
        $this->keep(new Consent(
            $this->odalys->clinicId,
            $this->odalys->id,
            $kind,
            'Odalys',
            way: ConsentWay::Spoken,
            givenOn: new \DateTimeImmutable(),
            words: '',
            keptById: $this->odalys->therapistId,
            keptAt: new \DateTimeImmutable(),
        ));
    }

    protected function letIn(?Helper $helper = null): void
    {
        if (null === $helper) {
            $this->agree(ConsentKind::HomeUse);
        }
        $device = new HomeDevice(
            $this->odalys->clinicId,
            $this->odalys->id,
            $helper?->id,
            'telephone',
            madeById: $this->odalys->therapistId,
            madeAt: new \DateTimeImmutable(),
        );
        $secret = $device->secret->renew(new \DateTimeImmutable());
        $this->keep($device);
        $this->browser->getCookieJar()->set(
            new Cookie('garden-home', $secret, null, '/home', domain: 'localhost'),
        );
    }

    /** @return list<HomeDevice> */
    protected function devices(): array
    {
        return $this->entities->getRepository(HomeDevice::class)->findAll();
    }

    protected function therapist(): Staff
    {
        return $this->entities->find(
            Staff::class,
            $this->odalys->therapistId,
        ) ?? self::fail();
    }

    /** @return array<string, string> */
    protected static function origin(): array
    {
        return ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'application/json'];
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return array<string, mixed>
     */
    protected function home(string $path, array $body): array
    {
        $this->browser->request(
            'POST',
            $path,
            server: self::origin(),
            content: json_encode($body, \JSON_THROW_ON_ERROR),
        );
        $answer = json_decode($this->page(), true);
        self::assertIsArray($answer, $this->page());

        /** @var array<string, mixed> $answer */
        return $answer;
    }

    /** @return array<string, mixed> */
    protected function json(string $path): array
    {
        $this->browser->request('GET', $path);
        /** @var array<string, mixed> $answer */
        $answer = (array) json_decode($this->page(), true);

        return $answer;
    }

    /**
     * @param list<mixed> $slots
     *
     * @return array<string, mixed>
     */
    protected function asked(string $plan, array $slots): array
    {
        $this->entities->clear();

        return $this->home('/home/day', ['plan' => $plan, 'slots' => $slots, 'unsent' => 0]);
    }

    /** @return array<string, mixed> */
    protected function day(): array
    {
        /** @var array<string, mixed> $day */
        $day = $this->asked('', [])['day'] ?? self::fail($this->page());

        return $day;
    }

    /** @return array{hash: string, sheet: array<string, mixed>} */
    protected function plan(): array
    {
        /** @var array{hash: string, sheet: array<string, mixed>} $plan */
        $plan = $this->asked('', [])['plan'] ?? self::fail($this->page());

        return $plan;
    }

    /** Helps Odalys: there during sittings, told the stop signs, signed for nothing yet. */
    protected function sister(string $name = 'Sister'): Helper
    {
        foreach ($this->service(Helpers::class)->of($this->odalys) as $helper) {
            if ($helper->name === $name) {
                return $helper;
            }
        }
        $helper = new Helper(
            $this->odalys->clinicId,
            $this->odalys->id,
            $name,
            HelperKind::Family,
            at: new \DateTimeImmutable(),
        );
        $helper->briefedOn = new \DateTimeImmutable('today');

        return $this->keep($helper);
    }

    /** @return array{hash: string, slot: array{id: string, secret: string}} */
    protected function handed(): array
    {
        $answer = $this->asked('', []);
        /** @var list<array{id: string, secret: string}> $slots */
        $slots = $answer['slots'];
        /** @var array{hash: string} $plan */
        $plan = $answer['plan'];

        return ['hash' => $plan['hash'], 'slot' => $slots[0]];
    }

    /**
     * @param array{hash: string, slot: array{id: string, secret: string}} $handed
     * @param list<array<string, mixed>>                                   $events
     */
    protected function send(array $handed, array $events): void
    {
        $this->entities->clear();
        $this->browser->request(
            'POST',
            '/played/events',
            server: [
                'HTTP_AUTHORIZATION' => 'Bearer '.$handed['slot']['secret'],
                'CONTENT_TYPE' => 'application/json',
            ],
            content: json_encode([
                'device' => self::BROWSER,
                'events' => $events,
                'plan' => $handed['hash'],
                'list' => 'home',
            ], \JSON_THROW_ON_ERROR),
        );
        $this->assertStatus(200);
        self::assertStringContainsString('"refused":[]', $this->page());
        $this->entities->clear();
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return array<string, mixed>
     */
    protected function event(string $kind, ?string $item, array $body): array
    {
        return array_filter([
            'id' => Uuid::v7()->toRfc4122(),
            'seq' => ++$this->seq,
            'kind' => $kind,
            'item' => $item,
            'at' => gmdate('Y-m-d\TH:i:s\Z'),
        ], static fn (mixed $v): bool => null !== $v) + ['body' => (object) $body];
    }

    /** With nothing but what a device has, over all routes of the router and with the ids of the client. */
    protected function assertOpensNothingOfTheStaffSide(): void
    {
        $this->browser->getCookieJar()->expire('garden', '/');
        $this->browser->getCookieJar()->expire('MOCKSESSID', '/');
        $tried = 0;
        foreach ($this->service(RouterInterface::class)->getRouteCollection() as $called => $route) {
            if (str_starts_with($called, 'home_') && str_starts_with($route->getPath(), '/home')) {
                continue;
            }
            $path = $route->getPath();
            foreach ($route->compile()->getPathVariables() as $name) {
                self::assertIsString($name);
                $path = str_replace('{'.$name.'}', $this->odalys->id, $path);
            }
            foreach ([] === $route->getMethods() ? ['GET'] : $route->getMethods() as $method) {
                $this->browser->request($method, $path);
                $status = $this->browser->getResponse()->getStatusCode();
                self::assertFalse(
                    200 === $status && str_contains($this->page(), 'Odalys'),
                    "$method $called: $status",
                );
                ++$tried;
            }
        }
        self::assertGreaterThan(100, $tried);
    }
}

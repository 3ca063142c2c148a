<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Staff;
use HandGarden\Client\Client;

/** The demonstration clinic: loaded once, on loopback only, and every page of it opens. */
final class DemoTest extends DemoTestCase
{
    /** Of every client; the others, which are the same for all, of two. */
    private const FOLLOWED = [
        '',
        '/decisions',
        '/logbook',
        '/trends',
        '/growing',
        '/helpers',
        '/shown',
        '/wearing',
        '/goals',
        '/home',
        '/routine',
        '/week',
    ];

    public function testIsNotLoadedWhereOthersCouldReachIt(): void
    {
        self::assertSame(
            1,
            $this->load(false, 'secret'),
        );
        self::assertSame(
            1,
            $this->load(true, ''),
        );
        self::assertSame(
            [],
            $this->entities->getRepository(Staff::class)->findAll(),
        );
    }

    public function testIsLoadedOnceAndEveryPageOfEveryClientOpens(): void
    {
        self::assertSame(0, $this->load());
        $clients = $this->entities->getRepository(Client::class)->findAll();
        self::assertSame(0, $this->load());
        self::assertCount(
            \count($clients),
            $this->entities->getRepository(Client::class)->findAll(),
        );
        $lead = $this->entities->getRepository(Staff::class)->findOneBy(
            ['email' => 'maren@quayside.example'],
        );
        self::assertNotNull($lead);
        $this->signIn($lead);

        self::assertCount(7, $clients);
        foreach ($clients as $n => $client) {
            foreach (
                $n > 1 ? self::FOLLOWED : [
                    ...self::FOLLOWED,
                    '/edit',
                    '/screening',
                    '/measure',
                    '/measure?set=everything',
                    '/findings',
                    '/screen',
                    '/screen?task=tapping&side=right',
                    '/steadiness',
                    '/live',
                    '/placement',
                    '/routine/print',
                    '/approaches',
                    '/handout.pdf',
                    '/week.ics',
                    '/sittings/new',
                ] as $page
            ) {
                $this->browser->request(
                    'GET',
                    '/clients/'.$client->id.$page,
                );
                self::assertResponseIsSuccessful($client->name().$page);
            }
        }
    }

    public function testTheHistoriesBringSomethingToDecide(): void
    {
        $this->load();
        $lead = $this->entities->getRepository(Staff::class)->findOneBy(
            ['email' => 'maren@quayside.example'],
        );
        self::assertNotNull($lead);
        $this->signIn($lead);
        $this->browser->request('GET', '/');

        self::assertStringContainsString('waiting', $this->page());
        self::assertSelectorTextContains('ul.rows', 'Odalys Brandt');
    }
}

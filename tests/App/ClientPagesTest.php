<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Client\ClientPages;
use PHPUnit\Framework\Attributes\DataProvider;

/** The way through the pages of a client leads only where one may go, and is the same on each of them. */
final class ClientPagesTest extends OdalysTestCase
{
    /** @return iterable<string, array{Role}> */
    public static function roles(): iterable
    {
        foreach (Role::cases() as $role) {
            yield $role->value => [$role];
        }
    }

    #[DataProvider('roles')]
    public function testEachLinkOpensAndEachPageShowsTheSameLinks(Role $role): void
    {
        $clinic = $this->quayside();
        $this->signIn($this->staff($clinic, $role));
        $links = $this->links('/clients/'.$this->odalys->id);
        self::assertGreaterThanOrEqual(7, \count($links));
        foreach ($links as $label => $address) {
            self::assertSame($links, $this->links($address), $label);
            $current = $this->browser->getCrawler()->filter('.tabs a[aria-current="page"]');
            self::assertSame($label, $current->text());
            self::assertNull($current->closest('li')?->attr('hidden'), 'its area is open');
        }
    }

    public function testEachKeyStandsForOnePage(): void
    {
        $keys = [];
        foreach (ClientPages::areas() as $pages) {
            foreach ($pages as $page) {
                $keys[] = $page->key;
            }
        }
        $keys = array_filter($keys, static fn (string $key): bool => '' !== $key);

        self::assertSame($keys, array_unique($keys));
    }

    /** @return array<string, string> addresses by label */
    private function links(string $address): array
    {
        $links = [];
        $page = $this->browser->request('GET', $address);
        $this->assertStatus(200);
        foreach ($page->filter('.tabs a') as $link) {
            self::assertInstanceOf(\DOMElement::class, $link);
            $links[trim($link->textContent)] = $link->getAttribute('href');
        }

        return $links;
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use PHPUnit\Framework\Attributes\TestWith;

/** Who leaves leaves nothing behind in the browser, and an error says what became of what was sent. */
final class LeavingTest extends OdalysTestCase
{
    #[TestWith([''])]
    #[TestWith(['/findings'])]
    #[TestWith(['/routine/print'])]
    #[TestWith(['/handout.pdf'])]
    #[TestWith(['/week.ics'])]
    #[TestWith(['/routine/meters?change=1'])]
    public function testNoPageAndNoFileOfAClientStaysInTheBrowser(string $page): void
    {
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $this->browser->request('GET', '/clients/'.$this->odalys->id.$page);

        self::assertStringContainsString(
            'no-store',
            (string) $this->browser->getResponse()->headers->get('Cache-Control'),
        );
    }

    public function testTodayStaysNeither(): void
    {
        $this->browser->request('GET', '/');

        self::assertStringContainsString(
            'no-store',
            (string) $this->browser->getResponse()->headers->get('Cache-Control'),
        );
    }

    public function testAnErrorSaysWhatBecameOfWhatWasSent(): void
    {
        $token = $this->token();
        $this->service(QueryLog::class)->stopsBefore = 'INSERT INTO audit_line';
        $this->browser->request(
            'POST',
            '/clients/'.$this->odalys->id.'/note',
            ['_token' => $token, 'note' => 'She slept.'],
        );

        $this->assertStatus(500);
        self::assertStringContainsString('Nothing of what you just sent was kept', $this->shown());
        self::assertStringNotContainsString('is lost', $this->shown());
        self::assertSelectorTextContains('textarea[name="note"]', 'She slept.', 'nor is what was typed');
        $notes = fn (): mixed => $this->entities->getConnection()->fetchOne(
            "SELECT count(*) FROM visit WHERE note <> ''",
        );
        self::assertSame(0, $notes());
        $this->browser->submitForm('Send it once more');
        $this->assertStatus(303);
        self::assertSame(1, $notes());
    }
}

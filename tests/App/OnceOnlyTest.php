<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Planning\SavedRoutine;
use HandGarden\Web\OnceOnly;

/** A form that is sent twice, by a shaking hand or a reloaded page, is done once; nothing else is held back. */
final class OnceOnlyTest extends OdalysTestCase
{
    public function testTheSameFormTwiceIsDoneOnceAndLeadsToTheSamePlace(): void
    {
        $form = $this->form();
        $this->send($form);
        $first = $this->browser->getResponse()->headers->get('Location');
        $this->send($form);

        $this->assertStatus(303);
        self::assertSame($first, $this->browser->getResponse()->headers->get('Location'));
        self::assertCount(1, $this->entities->getRepository(SavedRoutine::class)->findAll());
        $this->browser->followRedirect();
        self::assertStringContainsString('That was sent twice and is done once.', $this->page());
    }

    public function testAnotherContentUnderTheSameIdIsASendingOfItsOwn(): void
    {
        $form = $this->form();
        $this->send($form);
        $this->send(['kind' => 'clinic'] + $form);

        self::assertCount(2, $this->entities->getRepository(SavedRoutine::class)->findAll());
    }

    public function testWhatWasRefusedCanBeSentAgain(): void
    {
        $form = ['givenName' => ''] + $this->form();
        for ($time = 1; $time <= 2; ++$time) {
            $this->browser->request('POST', '/clients/'.$this->odalys->id.'/edit', $form);
            $this->assertStatus(422);
        }
        self::assertSame('0', $this->sent());
    }

    public function testWhatIsOldIsForgotten(): void
    {
        $this->send($this->form());
        $this->service(OnceOnly::class)->forgetBefore(new \DateTimeImmutable('+1 minute'));

        self::assertSame('0', $this->sent());
    }

    /** @return array<string, string> as the page carries it */
    private function form(): array
    {
        $page = $this->browser->request('GET', '/clients/'.$this->odalys->id.'/routine');

        return [
            '_token' => (string) $page->filter('main input[name="_token"]')->first()->attr('value'),
            '_request' => (string) $page->filter('main input[name="_request"]')->first()->attr('value'),
            'kind' => 'home',
        ];
    }

    /** @param array<string, string> $form */
    private function send(array $form): void
    {
        $this->browser->request('POST', '/clients/'.$this->odalys->id.'/routine/suggest', $form);
    }

    private function sent(): string
    {
        $count = $this->entities->getConnection()->fetchOne('SELECT count(*) FROM form_sent');

        return \is_scalar($count) ? (string) $count : '';
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use PHPUnit\Framework\Attributes\TestWith;

/** What is no text, no number and no day is refused at the edge, in words, with the status of a wrong request. */
final class GateTest extends OdalysTestCase
{
    #[TestWith(["a\0b"])]
    #[TestWith(["\xff\xfe"])]
    #[TestWith([['x' => ["\xc3\x28"]]])]
    #[TestWith([["a\0" => 'x']])]
    public function testAFormWithWhatIsNoText(mixed $value): void
    {
        $this->post('/clients/'.$this->odalys->id.'/note', ['note' => $value]);
        $this->assertStatus(400);
        self::assertStringContainsString('Nothing was kept.', $this->page());
    }

    #[TestWith(['/?name=%00'])]
    #[TestWith(['/?name[]=x'])]
    #[TestWith(['/?name=%ff'])]
    #[TestWith(['/exercises/%ff'])]
    public function testAnAddressWithWhatIsNoText(string $address): void
    {
        $this->browser->request('GET', $address);
        $this->assertStatus(400);
    }

    #[TestWith(['99999999999999999999999999'])]
    #[TestWith(['-3'])]
    #[TestWith(['now'])]
    public function testALengthThatIsNoneIsNoFilter(string $minutes): void
    {
        $all = $this->browser->request('GET', '/exercises')->filter('#found a')->count();
        $found = $this->browser->request('GET', '/exercises?minutes='.$minutes);
        $this->assertStatus(200);
        self::assertGreaterThan(10, $all);
        self::assertCount($all, $found->filter('#found a'));
    }

    #[TestWith(['0000-01-01'])]
    #[TestWith(['2026-02-31'])]
    #[TestWith(['99999-01-01'])]
    #[TestWith(['tomorrow'])]
    public function testADayThatIsNotInTheCalendar(string $day): void
    {
        $this->post(
            '/clients/'.$this->odalys->id.'/goals',
            ['rung' => 'helped-lift-hold|right', 'by' => $day],
        );
        $this->assertStatus(422);
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/week?of='.$day);
        $this->assertStatus(200);
    }

    #[TestWith(['{"id": 1e999}'])]
    #[TestWith(['{"0": 1}'])]
    #[TestWith(['{"note": "a\u0000b"}'])]
    #[TestWith(['[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[1]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]]'])]
    public function testALineWithWhatIsNoNumber(string $body): void
    {
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $sitting = $this->sitting($this->odalys, $this->therapist);
        $this->browser->request(
            'POST',
            '/sittings/'.$sitting->id.'/log',
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_X_GARDEN_TOKEN' => $this->token()],
            content: $body,
        );
        $this->assertStatus(422);
    }
}

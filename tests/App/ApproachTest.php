<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Planning\ApproachChoice;
use Symfony\Component\DomCrawler\Crawler;

final class ApproachTest extends OdalysTestCase
{
    public function testTheDefaultStandsWithItsReasonAndAChoiceNeedsANote(): void
    {
        $path = '/clients/'.$this->odalys->id.'/approaches';
        $this->browser->request('GET', $path);
        self::assertSelectorTextContains('#squeezing', 'Tone of the finger flexors is 2 or more.');
        self::assertSelectorExists('#squeezing input[value="b"][checked]');

        $this->post($path, ['question' => 'fist', 'school' => 'a', 'note' => '']);
        $this->assertStatus(422);
        self::assertSelectorTextContains('#fist .wrong', 'Say in a few words why');
        $this->post(
            $path,
            ['question' => 'fist', 'school' => 'a', 'note' => 'Thumb came out by itself today'],
        );
        $this->browser->followRedirect();
        self::assertSelectorTextContains('#fist', 'Chosen: Thumb came out by itself today');

        $this->post($path, ['question' => 'fist']);
        $this->browser->followRedirect();
        self::assertSelectorTextContains(
            '#fist',
            'Default because: The fingers hold the thumb down.',
        );
        self::assertCount(
            1,
            $this->entities->getRepository(ApproachChoice::class)->findAll(),
            'withdrawn, and kept',
        );
        $this->post($path, ['question' => 'made-up', 'school' => 'a', 'note' => 'x']);
        $this->assertStatus(404);
    }

    public function testFewerLongerSittingsLeaveFourTrainingDaysInTheWeek(): void
    {
        $path = '/clients/'.$this->odalys->id;
        $this->post($path.'/routine/suggest', []);
        $trained = fn (): int => $this->browser->request(
            'GET',
            $path.'/week',
        )->filter('.week > section')->reduce(
            static fn (Crawler $day): bool => str_contains($day->text(), 'Helped lift and hold'),
        )->count();
        self::assertSame(5, $trained());
        $this->post(
            $path.'/approaches',
            ['question' => 'amount', 'school' => 'b', 'note' => 'comes from far away'],
        );
        self::assertSame(4, $trained());
    }
}

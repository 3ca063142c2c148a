<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Core\Approach\Question;
use HandGarden\Planning\ApproachChoice;
use HandGarden\Tests\Core\Said;
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

    public function testWhatIsChosenIsSaidWithTheItemsItConcerns(): void
    {
        $path = '/clients/'.$this->odalys->id;
        $this->post($path.'/routine/suggest', []);
        $this->browser->request('GET', $path.'/routine');
        self::assertStringContainsString(
            'A trick movement is allowed here so that it starts',
            $this->shown(),
        );
        $this->post(
            $path.'/approaches',
            ['question' => 'tricks', 'school' => 'b', 'note' => 'She relearns them too fast'],
        );
        $this->post($path.'/routine/suggest', []);
        $this->browser->request('GET', $path.'/routine');
        self::assertStringContainsString('No trick movements, on this rung either', $this->shown());
        self::assertStringNotContainsString('A trick movement is allowed', $this->shown());

        $this->browser->request('GET', $path.'/approaches');
        self::assertSelectorTextContains('#tricks', 'Chosen: She relearns them too fast');
        self::assertSelectorTextContains(
            '#tricks',
            'Default would be: The task can start; the next rung withdraws it.',
        );
    }

    public function testEveryQuestionIsAskedInWordsWithBothSchoolsAndWhatChoosingChanges(): void
    {
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/approaches');
        $page = html_entity_decode($this->shown());
        foreach (Question::cases() as $question) {
            foreach (['asks', 'a', 'b', 'effect'] as $part) {
                $words = Said::wording()->word('approach.'.$question->value.'.'.$part);
                self::assertStringContainsString($words, $page, $question->value.' '.$part);
            }
        }
        self::assertStringNotContainsString('approach.', $page, 'no code is shown');
        self::assertStringNotContainsString('approach_default', $page);
    }

    public function testAnAssistantChoosesNothing(): void
    {
        $this->signIn($this->staff($this->quayside(), Role::Assistant));
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/approaches');

        $this->assertStatus(403);
    }
}

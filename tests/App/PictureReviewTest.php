<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Content\Pictures\WriteQuiz;
use HandGarden\Library\PictureReview;
use HandGarden\Library\PictureVerdict;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\Filesystem\Filesystem;

final class PictureReviewTest extends GardenTestCase
{
    public function testAWordOnPicturesIsKeptWithTheirVersionAndShownToTheClinicAlone(): void
    {
        $this->signIn($this->staff($clinic = $this->clinic()));
        $this->review(['verdict' => 'wrong', 'note' => 'the coin cannot be seen']);
        self::assertStringContainsString('the coin cannot be seen', $this->pictures());
        self::assertStringContainsString('1 wrong', $this->page());
        $this->review(['verdict' => 'says-it', 'note' => '']);
        self::assertStringNotContainsString('the coin cannot be seen', $this->pictures());
        $kept = $this->entities->getRepository(PictureReview::class)->findBy(['clinicId' => $clinic->id]);
        self::assertCount(2, $kept, 'what was said before stays');
        self::assertSame(32, \strlen($kept[0]->version));

        $this->signIn($this->staff($this->clinic('Harbour Hand Clinic')));
        self::assertStringContainsString('0 of', $this->pictures());
    }

    public function testPicturesDrawnAnewAreNotLookedAtYet(): void
    {
        $staff = $this->staff($clinic = $this->clinic());
        $this->signIn($staff);
        $old = str_repeat('0', 32);
        $this->entities->persist(new PictureReview(
            $clinic->id,
            'coin-still-hold',
            $old,
            PictureVerdict::Wrong,
            note: 'too thin',
            byStaffId: $staff->id,
            at: new \DateTimeImmutable('2026-11-01'),
        ));
        $this->entities->flush();

        self::assertStringContainsString('as it was drawn before', $this->pictures());
        self::assertStringContainsString('0 of', $this->page());
    }

    public function testWithoutAVerdictNothingIsKeptAndAnAssistantKeepsNone(): void
    {
        $this->signIn($this->staff($clinic = $this->clinic()));
        $this->review(['note' => 'hm']);
        self::assertStringContainsString(
            'Say whether the pictures say what they should.',
            $this->pictures(),
        );
        $this->review(['verdict' => 'wrong', 'note' => str_repeat('x', 301)]);
        $this->signIn($this->staff($clinic, Role::Assistant));
        $this->post('/exercises/pictures/coin-still-hold', ['verdict' => 'says-it']);
        $this->assertStatus(403);

        self::assertSame([], $this->entities->getRepository(PictureReview::class)->findAll());
    }

    public function testTheBlindTestHasItsKeyApartAndTheSameSeedGivesTheSame(): void
    {
        $dir = sys_get_temp_dir().'/quiz-'.bin2hex(random_bytes(4));
        $quiz = new CommandTester($this->service(WriteQuiz::class));
        foreach (['a', 'b'] as $run) {
            $quiz->execute(['--count' => '2', '--seed' => '3', '--to' => $dir.'/'.$run]);
            $quiz->assertCommandIsSuccessful();
        }
        $sheet = (string) file_get_contents($dir.'/a/quiz-1.html');
        $key = (string) file_get_contents($dir.'/a/key.md');
        self::assertSame($key, file_get_contents($dir.'/b/key.md'));
        preg_match_all('/^\| \d+ \| ([^|]+) \|/m', $key, $names);
        self::assertCount(2, $names[1]);
        foreach ($names[1] as $name) {
            self::assertStringNotContainsString($name, $sheet, 'no word on the sheet');
        }
        self::assertGreaterThan(3, substr_count($sheet, '<svg'));
        self::assertSame(2, $quiz->execute(['--count' => 'many']));
        (new Filesystem())->remove($dir);
    }

    /** @param array<string, string> $form */
    private function review(array $form): void
    {
        $this->post('/exercises/pictures/coin-still-hold', $form);
        $this->assertStatus(303);
    }

    private function pictures(): string
    {
        $this->browser->request('GET', '/exercises/pictures?strand=grip');

        return $this->page();
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Library\OwnExercise;
use HandGarden\Library\OwnExercises;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\File\UploadedFile;

final class LibraryTest extends GardenTestCase
{
    public function testATherapistFindsByWordsAndFilters(): void
    {
        $this->signIn($this->staff($this->clinic()));
        $this->browser->request('GET', '/exercises?words=coin+fing&condition=dystonia');
        $this->assertStatus(200);
        self::assertStringContainsString('Coin flips by each finger', $this->page());
        self::assertStringNotContainsString('Helped lift and hold', $this->page());

        $this->browser->request('GET', '/exercises?words=zzz');
        self::assertStringContainsString('Nothing found', $this->page());

        $this->browser->request('GET', '/exercises?only=1&at_hand[]=table&strand=base');
        self::assertStringContainsString('Helped lift and hold', $this->page());
        self::assertStringNotContainsString(
            'weight',
            $this->browser->getCrawler()->filter('#found')->text(),
        );
    }

    public function testFiltersThatMakeNoSenseAreAsIfTheyWereNotThere(): void
    {
        $this->signIn($this->staff($this->clinic()));
        foreach (
            [
                'condition=gout',
                'performer[]=x',
                'minutes=-4',
                'at_hand=table&only=1',
                'words[]=x',
                "words='%22)(*",
            ] as $query
        ) {
            $this->browser->request('GET', '/exercises?'.$query);
            $this->assertStatus(200);
        }
    }

    public function testEveryExerciseHasItsPageAndItsSheet(): void
    {
        $trained = $this->staff($this->clinic());
        $trained->releaseTrainedOn = new \DateTimeImmutable('-1 year');
        $this->entities->flush();
        $this->signIn($trained);
        foreach (
            [
                'helped-lift-hold',
                'shelf-arm-side-raise',
                'release-phase-thumb',
                'four-shape-chain',
                'rocker-cut-food',
                'open-hand-weight-lean',
            ] as $id
        ) {
            $this->browser->request('GET', '/exercises/of/'.$id);
            $this->assertStatus(200);
            $this->browser->request('GET', '/exercises/of/'.$id.'/print?side=left');
            $this->assertStatus(200);
        }
        $this->browser->request('GET', '/exercises/of/no-such-thing');
        $this->assertStatus(404);
    }

    #[TestWith([Role::Assistant])]
    #[TestWith([Role::Therapist])]
    public function testWhatOnlyTrainedTherapistsDoIsNotShownToOthers(Role $role): void
    {
        $this->signIn($this->staff($this->clinic(), $role));
        $own = Role::Assistant === $role ? ['/exercises/own/new'] : [];
        foreach (
            [
                '/exercises/of/release-phase-thumb',
                '/exercises/ladder/mobilize-4',
                '/exercises/hands-on-release',
                ...$own,
            ] as $path
        ) {
            $this->browser->request('GET', $path);
            $this->assertStatus(403);
        }
        $this->browser->request('GET', '/exercises?words=release+phase');
        self::assertStringNotContainsString('Release phase 1', $this->page());
    }

    public function testAVariantIsKeptChangedToANewVersionAndTheOldOneStays(): void
    {
        $this->signIn($this->staff($this->clinic()));
        $this->browser->request('GET', '/exercises/own/new?from=each-finger-lift');
        $this->browser->submitForm(
            'Keep',
            [
                'name' => 'Lift by two',
                'dose_repetitions' => '3',
                'own_pose' => '1',
                'pose[end][ring][0]' => '-20',
            ],
        );
        $this->browser->followRedirect();
        self::assertStringContainsString('Lift by two', $this->page());
        self::assertStringContainsString('3 × each of 5', $this->page());
        $first = $this->only();
        self::assertSame(
            [-20, 3, 2, 3],
            \is_array($first->pose['end']) ? $first->pose['end']['ring'] : null,
        );

        $this->browser->request('GET', '/exercises/own/'.$first->key);
        $this->browser->submitForm('Keep as version 2', ['dose_repetitions' => '4']);
        $this->browser->followRedirect();
        self::assertStringContainsString(
            'Routines go on with the version they were built with',
            $this->page(),
        );
        $this->browser->request('GET', '/exercises/of/own-'.$first->key.'-v1');
        self::assertStringContainsString('3 × each of 5', $this->page());
        $this->browser->request('GET', '/exercises/of/own-'.$first->key.'-v2');
        self::assertStringContainsString('4 × each of 5', $this->page());
        $this->browser->request('GET', '/exercises?words=lift+two');
        self::assertStringContainsString('Own exercise, version 2', $this->page());
        self::assertStringNotContainsString('Own exercise, version 1', $this->page());
    }

    public function testBadInputIsNamedInPlaceAndNothingTypedIsLost(): void
    {
        $this->signIn($this->staff($this->clinic()));
        foreach ([
            [['intensity' => '9'], 'intensity: 9 is outside 1..5'],
            [['dose_repetitions' => 'many'], 'dose.repetitions: expected a whole number'],
            [['dose_hold' => '40', 'most_hold' => '10'], 'Hold of this rung: 40 is outside 0..10'],
            [['when' => 'wrist_ext_hold_s>> 5'], 'when'],
            [['steps' => ''], 'steps: an exercise has one step or more'],
            [
                ['own_pose' => '1', 'pose[start][index][1]' => '140'],
                'index PIP: 140 is outside -10..115',
            ],
        ] as [$typed, $complaint]) {
            $this->browser->request('GET', '/exercises/own/new?from=each-finger-lift');
            $this->browser->submitForm('Keep', ['name' => 'Kept in the form'] + $typed);
            $this->assertStatus(422);
            self::assertStringContainsString($complaint, $this->page());
            self::assertStringContainsString('Kept in the form', $this->page());
        }
        self::assertSame([], $this->entities->getRepository(OwnExercise::class)->findAll());
    }

    public function testAnOwnExerciseJoinsARoutineAndTheRoutineKeepsItsVersion(): void
    {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $client = $this->client($clinic, $therapist);
        $this->signIn($therapist);
        $this->browser->request('GET', '/exercises/own/new?from=each-finger-lift');
        $this->browser->submitForm('Keep', ['name' => 'Our lift']);
        $own = $this->only();
        $this->browser->request(
            'POST',
            '/clients/'.$client->id.'/routine',
            [
                '_token' => $this->token(),
                'do' => 'add',
                'rung' => $own->rungId(),
                'hands' => 'right',
                'note' => 'Likes it',
            ],
        );
        $this->browser->followRedirect();
        self::assertStringContainsString(
            'Our lift',
            $this->browser->getCrawler()->filter('#items')->text(),
        );

        $this->browser->request('GET', '/exercises/own/'.$own->key);
        $this->browser->submitForm('Keep as version 2', ['name' => 'Our other lift']);
        $this->browser->request('GET', '/clients/'.$client->id.'/routine');
        self::assertStringContainsString(
            'Our lift',
            $this->browser->getCrawler()->filter('#items')->text(),
        );
        self::assertStringNotContainsString(
            'Our other lift',
            $this->browser->getCrawler()->filter('#items')->text(),
        );
    }

    public function testTwoPeopleEditingSeeBothAndLoseNothing(): void
    {
        $this->signIn($this->staff($this->clinic()));
        $this->browser->request('GET', '/exercises/own/new?from=each-finger-lift');
        $this->browser->submitForm('Keep', ['name' => 'First']);
        $key = $this->only()->key;
        $this->browser->request('GET', '/exercises/own/'.$key);
        $stale = $this->browser
            ->getCrawler()
            ->selectButton('Keep as version 2')
            ->form(['name' => 'Second thought']);
        $this->browser->submitForm('Keep as version 2', ['name' => 'By somebody else']);
        $this->browser->submit($stale);

        $this->assertStatus(422);
        self::assertStringContainsString('Somebody else made version 2 meanwhile', $this->page());
        self::assertStringContainsString('Second thought', $this->page());
    }

    public function testALadderGoesOutAndComesInAgain(): void
    {
        $this->signIn($this->staff($this->clinic()));
        foreach (['yaml', 'json'] as $format) {
            $this->browser->request('GET', '/exercises/ladder/grip-7.'.$format);
            $this->assertStatus(200);
            $this->takeIn((string) $this->browser->getResponse()->getContent());
            self::assertStringContainsString('6 exercises taken in', $this->page());
        }
        $this->browser->request('GET', '/exercises?words=putty');
        self::assertSame(12, substr_count($this->page(), 'Own exercise, version 1'));
        $this->browser->request('GET', '/exercises/own.yaml');
        self::assertStringContainsString(
            'Putty',
            (string) $this->browser->getResponse()->getContent(),
        );
    }

    public function testABrokenLadderFileTakesNothingInAndNamesThePlace(): void
    {
        $this->signIn($this->staff($this->clinic()));
        foreach (
            [
                "rungs: [{name: x}]\n" => 'file.rungs[0]',
                '{' => 'file:',
                "strand: grip\nrungs: 4\n" => 'file.rungs: expected a list',
            ] as $text => $complaint
        ) {
            $this->takeIn($text);
            self::assertStringContainsString('Nothing was taken in', $this->page());
            self::assertStringContainsString($complaint, $this->page());
        }
        self::assertSame([], $this->entities->getRepository(OwnExercise::class)->findAll());
    }

    public function testThePoseThatIsMadeIsDrawnOnBothSidesAndNonsenseIsSaid(): void
    {
        $this->signIn($this->staff($this->clinic()));
        $this->browser->request('GET', '/exercises/own/new');
        $form = $this->browser->getCrawler()->selectButton('Keep')->form()->getPhpValues();
        $this->browser->request('POST', '/exercises/pose', ['which' => 'end'] + $form);
        $this->assertStatus(200);
        $drawn = json_decode((string) $this->browser->getResponse()->getContent(), true);
        self::assertIsArray($drawn);
        self::assertArrayHasKey('right', $drawn);
        self::assertArrayHasKey('left', $drawn);
        self::assertNotEquals($drawn['right'], $drawn['left']);

        $this->browser->request(
            'POST',
            '/exercises/pose',
            array_replace_recursive(
                $form,
                ['which' => 'end', 'pose' => ['end' => ['wrist' => '500']]],
            ),
        );
        $this->assertStatus(422);
        self::assertStringContainsString(
            'wrist: 500 is outside -80..85',
            (string) $this->browser->getResponse()->getContent(),
        );
    }

    public function testALeadLeavesOutHandShapesForTheClinic(): void
    {
        $clinic = $this->clinic();
        $this->signIn($this->staff($clinic, Role::Lead));
        $this->browser->request('GET', '/exercises/of/four-shape-chain');
        $before = $this->browser->getCrawler()->filter('figure img')->extract(['src']);
        $this->browser->request('GET', '/exercises/rules');
        $this->browser->submitForm('Keep', ['wide-l' => false, 'outer-pair' => false]);
        $this->browser->followRedirect();
        self::assertStringContainsString('Left out from now on: wide-l, outer-pair', $this->page());
        $this->browser->request('GET', '/exercises/of/four-shape-chain');
        self::assertStringContainsString(
            'This clinic leaves out: wide L, outer pair',
            $this->shown(),
        );
        self::assertNotEquals(
            $before,
            $this->browser->getCrawler()->filter('figure img')->extract(['src']),
        );
    }

    public function testAnotherClinicsExerciseIsNowhere(): void
    {
        $this->signIn($this->staff($this->clinic()));
        $this->browser->request('GET', '/exercises/own/new?from=each-finger-lift');
        $this->browser->submitForm('Keep', ['name' => 'Ours alone']);
        $own = $this->only();
        $this->signIn($this->staff($this->clinic('Another clinic')));
        foreach (
            [
                '/exercises/of/'.$own->rungId(),
                '/exercises/own/'.$own->key,
                '/exercises/own/new?from='.$own->rungId(),
            ] as $path
        ) {
            $this->browser->request('GET', $path);
            $this->assertStatus(404);
        }
        $this->browser->request('GET', '/exercises?words=ours');
        self::assertStringNotContainsString('Ours alone', $this->page());
    }

    public function testTheSearchOfOwnExercisesLooksThroughTheClinicsOnly(): void
    {
        $clinic = $this->clinic();
        $this->signIn($this->staff($clinic));
        $this->browser->request('GET', '/exercises/own/new?from=each-finger-lift');
        $this->browser->submitForm('Keep', ['name' => 'Somewhere']);
        [$found, $inAll] = $this->service(OwnExercises::class)->find(
            $clinic->id,
            new \HandGarden\Core\Catalogue\ExerciseFilter(
                ['some'],
                \HandGarden\Core\Catalogue\Condition::Dystonia,
                minutes: 5,
            ),
        );
        self::assertCount(1, $found);
        self::assertSame(1, $inAll);
    }

    private function only(): OwnExercise
    {
        $this->entities->clear();
        $all = $this->entities->getRepository(OwnExercise::class)->findBy([], ['version' => 'ASC']);
        self::assertNotSame([], $all);

        return $all[0];
    }

    private function takeIn(string $text): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'ladder');
        file_put_contents($path, $text);
        $this->browser->request(
            'POST',
            '/exercises/own/import',
            ['_token' => $this->token()],
            ['file' => new UploadedFile($path, 'ladder.yaml', 'text/yaml', null, test: true)],
        );
        $this->browser->followRedirect();
    }
}

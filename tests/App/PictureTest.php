<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Pictures\HandPictures;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Drawing\PictureSpec;
use HandGarden\Library\ShapeSettings;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Filesystem\Filesystem;

final class PictureTest extends GardenTestCase
{
    public function testEveryPictureOfARoutineIsDrawnWhenItIsAskedFor(): void
    {
        $therapist = $this->staff($clinic = $this->clinic());
        $client = $this->client($clinic, $therapist);
        $this->signIn($therapist);
        $this->post('/clients/'.$client->id.'/routine/suggest', []);
        $images = $this->browser->request(
            'GET',
            '/clients/'.$client->id.'/routine/print',
        )->filter('img.hand');

        self::assertGreaterThan(6, $images->count());
        foreach ($images as $image) {
            self::assertInstanceOf(\DOMElement::class, $image);
            self::assertNotSame('', $image->getAttribute('alt'));
            $this->browser->request('GET', $image->getAttribute('src'));
            self::assertSame(
                'image/svg+xml',
                $this->browser->getResponse()->headers->get('Content-Type'),
            );
            self::assertNotFalse(simplexml_load_string($this->page()), 'well-formed');
        }
    }

    public function testAPictureNeedsNoSessionAndMayBeKeptForAYear(): void
    {
        $url = $this->service(HandPictures::class)->ofRung(
            Cases::catalogue()->rung('open-attempt'),
            Side::Right,
            1,
        );
        $this->browser->request('GET', $url);

        self::assertResponseIsSuccessful();
        self::assertResponseHasHeader('Cache-Control', 'immutable');
        self::assertStringContainsString(
            'immutable',
            (string) $this->browser->getResponse()->headers->get('Cache-Control'),
        );
        self::assertStringContainsString(
            'max-age=31536000',
            (string) $this->browser->getResponse()->headers->get('Cache-Control'),
        );
        self::assertSame([], $this->browser->getResponse()->headers->getCookies());
    }

    public function testWhatNobodyNamedIsNotDrawn(): void
    {
        $this->browser->request('GET', '/hands/'.str_repeat('0', 32).'.svg');
        $this->assertStatus(404);
        $this->browser->request('GET', '/hands/..%2f..%2fetc.svg');
        $this->assertStatus(404);
    }

    public function testABrokenSpecIsNoPictureAndTheNextNamingPutsItRight(): void
    {
        $dir = sys_get_temp_dir().'/hands-'.bin2hex(random_bytes(4));
        $pictures = new HandPictures($this->service(CatalogueStore::class), $dir);
        $spec = $pictures->specOf(Cases::catalogue()->rung('close-and-open'), Side::Left, 1);
        $file = $dir.'/'.substr($spec->hash(), 0, 2).'/'.$spec->hash();
        mkdir(\dirname($file), 0o775, true);
        file_put_contents($file.'.spec', 'not a spec');
        self::assertNull($pictures->draw($spec->hash()));
        unlink($file.'.spec');
        $pictures->url($spec);

        self::assertStringStartsWith('<svg', (string) $pictures->draw($spec->hash()));
        self::assertFileExists($file.'.svg');
        self::assertSame(
            file_get_contents($file.'.svg'),
            $pictures->draw($spec->hash()),
            'the second time it is a file',
        );
        (new Filesystem())->remove($dir);
    }

    public function testAShapeThatIsLeftOutIsMadeByNeitherHand(): void
    {
        $swaps = ShapeSettings::swapsFor(['wide-l', 'outer-pair']);
        foreach (['four-shape-chain', 'hand-shape-practice'] as $id) {
            $picture = Cases::catalogue()->rung($id)->picture()->withPoses($swaps);
            foreach ($picture->stills as $still) {
                foreach ([$still->pose, ...$still->others] as $name) {
                    self::assertDoesNotMatchRegularExpression('/wide-l|outer-pair/', $name, $id);
                }
            }
        }
    }

    /** @return iterable<string, array{string}> */
    public static function rungs(): iterable
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            yield $rung->id => [$rung->id];
        }
    }

    #[DataProvider('rungs')]
    public function testThePicturesOfBothHandsDiffer(string $rungId): void
    {
        $pictures = $this->service(HandPictures::class);
        $rung = Cases::catalogue()->rung($rungId);
        $specs = [];
        foreach ([Side::Left, Side::Right] as $side) {
            foreach ([0, $rung->picture()->telling()] as $nth) {
                $specs[] = $pictures->specOf($rung, $side, $nth);
            }
        }

        self::assertCount(
            0 === $rung->picture()->telling() ? 2 : 4,
            array_unique(array_map(static fn (PictureSpec $s): string => $s->hash(), $specs)),
        );
    }
}

<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Planning\AddressPicture;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** The address at home as a picture: of the address that the house has now, or none. */
final class AddressPictureTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/address-'.bin2hex(random_bytes(4));
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->folder);
    }

    public function testItIsDrawnForTheAddressThatTheHouseHas(): void
    {
        $this->draw('https://hands.example/home');
        $inline = (new AddressPicture('https://hands.example/', $this->folder))->inline();

        self::assertStringStartsWith('data:image/svg+xml;base64,', $inline);
        self::assertStringContainsString('<path', (string) base64_decode(explode(',', $inline)[1], true));
    }

    public function testThePictureOfAnEarlierAddressIsNotPrinted(): void
    {
        $this->draw('https://before.example/home');

        self::assertSame('', (new AddressPicture('https://hands.example', $this->folder))->inline());
        self::assertSame(
            'https://hands.example/home',
            (new AddressPicture('https://hands.example', '/x'))->address(),
        );
        self::assertSame('', (new AddressPicture('', $this->folder))->address());
        self::assertSame('', (new AddressPicture('', $this->folder))->inline());
    }

    private function draw(string $address): void
    {
        $draws = new Process(
            ['node', \dirname(__DIR__, 2).'/bin/lib/code-picture.mjs', $address, $this->folder],
        );
        $draws->mustRun();
    }
}

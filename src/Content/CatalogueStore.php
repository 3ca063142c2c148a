<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Drawing\DrawingLibrary;
use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** The catalogue of this installation: read once, then kept as ready values in the cache folder. */
final class CatalogueStore implements CacheWarmerInterface
{
    private const CATALOGUE_FILE = 'catalogue.values';
    private const DRAWINGS_FILE = 'drawings.values';

    private ?Catalogue $catalogue = null;

    private ?DrawingLibrary $drawings = null;

    public function __construct(private readonly string $catalogueDir, private readonly string $cacheDir, private readonly bool $debug)
    {
    }

    /** @throws InvalidData naming file and path */
    public function get(): Catalogue
    {
        return $this->catalogue ??= $this->kept(self::CATALOGUE_FILE, Catalogue::class) ?? $this->compile();
    }

    /** @throws InvalidData naming pose and joint */
    public function drawings(): DrawingLibrary
    {
        return $this->drawings ??= $this->kept(self::DRAWINGS_FILE, DrawingLibrary::class) ?? self::readDrawings($this->catalogueDir);
    }

    public function isOptional(): bool
    {
        return false;
    }

    public function warmUp(string $cacheDir, ?string $buildDir = null): array
    {
        $this->compile();

        return [];
    }

    /**
     * Reading the YAML takes 15 ms and more, taking the ready values from a file 2 ms.
     *
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T|null
     */
    private function kept(string $name, string $class): ?object
    {
        $kept = $this->debug ? false : @file_get_contents($this->cacheDir.'/'.$name);
        $values = false === $kept ? null : @unserialize($kept);

        return $values instanceof $class ? $values : null;
    }

    private function compile(): Catalogue
    {
        [$catalogue, $drawings] = self::read($this->catalogueDir);
        WholeFile::write($this->cacheDir.'/'.self::DRAWINGS_FILE, serialize($drawings));
        WholeFile::write($this->cacheDir.'/'.self::CATALOGUE_FILE, serialize($catalogue));

        return $catalogue;
    }

    /**
     * Every file of the catalogue, with the poses that its pictures name.
     *
     * @return array{Catalogue, DrawingLibrary}
     *
     * @throws InvalidData naming file and path
     */
    public static function read(string $dir): array
    {
        $catalogue = (new CatalogueReader())->read(self::parse($dir));
        $drawings = self::readDrawings($dir);
        (new CatalogueCheck($catalogue, $drawings))->run();

        return [$catalogue, $drawings];
    }

    public static function readDrawings(string $dir): DrawingLibrary
    {
        return (new DrawingReader())->read([
            'poses' => self::yaml($dir, 'poses.yaml'),
            'figures' => self::yaml($dir, 'figures.yaml'),
            'things' => self::yaml($dir, 'things.yaml'),
            'hands' => self::yaml($dir, 'second-hands.yaml'),
        ]);
    }

    /**
     * @return array{ladders: array<string, mixed>, vocabulary: mixed, cautions: mixed, screening: mixed, goals: mixed, materials: mixed, shapes: mixed, rules: mixed, scripts: mixed, release: mixed} decoded files by name, ladders by file
     *
     * @throws InvalidData
     */
    public static function parse(string $dir): array
    {
        $order = Node::root(self::yaml($dir, 'order.yaml'), 'order.yaml')->strings();
        $ladders = [];
        foreach ($order as $key) {
            $ladders['ladders/'.$key.'.yaml'] = self::yaml($dir, 'ladders/'.$key.'.yaml');
        }

        return [
            'ladders' => $ladders,
            'vocabulary' => self::yaml($dir, 'vocabulary.yaml'),
            'cautions' => self::yaml($dir, 'cautions.yaml'),
            'screening' => self::yaml($dir, 'screening.yaml'),
            'goals' => self::yaml($dir, 'goals.yaml'),
            'materials' => self::yaml($dir, 'materials.yaml'),
            'shapes' => self::yaml($dir, 'shapes.yaml'),
            'rules' => self::yaml($dir, 'rules.yaml'),
            'scripts' => self::yaml($dir, 'scripts.yaml'),
            'release' => self::yaml($dir, 'release.yaml'),
        ];
    }

    /** @throws InvalidData naming the file and the line */
    private static function yaml(string $dir, string $file): mixed
    {
        try {
            return Yaml::parseFile($dir.'/'.$file);
        } catch (ParseException $e) {
            throw InvalidData::at($file, $e->getMessage());
        }
    }
}

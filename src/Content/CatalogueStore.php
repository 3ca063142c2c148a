<?php

declare(strict_types=1);

namespace HandGarden\Content;

use HandGarden\Content\Pictures\PictureNames;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\ExerciseSearch;
use HandGarden\Core\Catalogue\Handbook;
use HandGarden\Core\Catalogue\MoreRungs;
use HandGarden\Core\Catalogue\ReadyLadders;
use HandGarden\Core\Catalogue\ReleaseProtocol;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\Techniques;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Drawing\DrawingLibrary;
use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/**
 * The catalogue of this installation: read once, then kept as ready values in the cache folder.
 *
 * @phpstan-type Kept array{
 *     all: string,
 *     ladders: array<string, string>,
 *     rungs: array<string, string>,
 *     rest: string,
 *     handbook: string,
 *     index: string,
 *     drawings: string,
 *     pictures: array<string, string>,
 * }
 */
final class CatalogueStore implements CacheWarmerInterface
{
    private const KEPT_FILE = 'catalogue.values.php';

    private ?Catalogue $catalogue = null;

    private ?KeptLadders $ladders = null;

    private ?DrawingLibrary $drawings = null;

    /** @var Kept|null */
    private ?array $values = null;

    public function __construct(
        private readonly string $catalogueDir,
        private readonly string $cacheDir,
        private readonly bool $debug,
        private readonly ?MoreRungs $more = null,
    ) {
    }

    /** @throws InvalidData naming file and path */
    public function get(): Catalogue
    {
        if (null === $this->catalogue) {
            $kept = $this->kept();
            $rest = unserialize($kept['rest']);
            $this->catalogue = $rest instanceof Catalogue
                ? $rest->over(
                    $this->ladders(),
                    self::handbook($kept['handbook']),
                )
                : throw new \LogicException('The kept catalogue is of another make.');
            if (null !== $this->more) {
                $this->catalogue->askAlso($this->more);
            }
        }

        return $this->catalogue;
    }

    /** Of all that the catalogue says: what was written by it can name it. */
    public function mark(): string
    {
        return hash('sha256', implode("\n", array_map(
            static fn (string|array $part): string => \is_string($part) ? $part : implode("\n", $part),
            $this->kept(),
        )));
    }

    /** One exercise, while the rest of the catalogue stays where it is; null: there is none of that name. */
    public function rung(string $id): ?Rung
    {
        return $this->ladders()->with($id)?->rung($id) ?? $this->more?->find($id)[1] ?? null;
    }

    private function ladders(): KeptLadders
    {
        return $this->ladders ??= new KeptLadders(
            $this->kept()['all'],
            $this->kept()['ladders'],
            $this->kept()['rungs'],
        );
    }

    /** @return \Closure(): Handbook */
    private static function handbook(string $kept): \Closure
    {
        return static function () use ($kept): Handbook {
            $handbook = unserialize($kept);

            return $handbook instanceof Handbook
                ? $handbook
                : throw new \LogicException('The kept handbook is of another make.');
        };
    }

    /** @throws InvalidData naming pose and joint */
    public function drawings(): DrawingLibrary
    {
        if (null === $this->drawings) {
            $drawings = unserialize($this->kept()['drawings']);
            $this->drawings = $drawings instanceof DrawingLibrary
                ? $drawings
                : throw new \LogicException('The kept drawings are of another make.');
        }

        return $this->drawings;
    }

    public function search(): ExerciseSearch
    {
        $search = unserialize($this->kept()['index']);

        return $search instanceof ExerciseSearch
            ? $search
            : throw new \LogicException('The kept index is of another make.');
    }

    /**
     * @return array<string, string> names of the catalogue's pictures by what they show, so that a page need not
     *    set the scene
     */
    public function pictureNames(): array
    {
        return $this->kept()['pictures'];
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
     * What is ready: a PHP file, so that the process manager holds its texts in shared memory, in parts, so that
     * a page takes
     * out what it needs.
     *
     * @return Kept
     */
    private function kept(): array
    {
        $file = $this->cacheDir.'/'.self::KEPT_FILE;
        if (null === $this->values && ($this->debug || !is_file($file))) {
            $this->values = $this->compile();
        }
        if (null === $this->values) {
            /** @var Kept $kept */
            $kept = require $file;
            $this->values = $kept;
        }

        return $this->values;
    }

    /** @return Kept */
    private function compile(): array
    {
        [$catalogue, $drawings] = self::read($this->catalogueDir);
        $ladders = $rungs = $pictures = [];
        $same = new OneOfEach();
        $all = array_map($same->of(...), $catalogue->ladders());
        foreach ($all as $ladder) {
            $ladders[$ladder->key] = serialize($ladder);
            foreach ($ladder->rungs as $rung) {
                $rungs[$rung->id] = $ladder->key;
                $pictures += PictureNames::from($rung, $drawings);
            }
        }
        $kept = [
            'all' => serialize($all),
            'ladders' => $ladders,
            'rungs' => $rungs,
            'rest' => serialize(
                $catalogue->over(
                    new ReadyLadders([]),
                    new Handbook(
                        [],
                        [],
                        [],
                        [],
                        scripts: [],
                        release: new ReleaseProtocol([], []),
                        cautions: [],
                        stops: [],
                        bars: [],
                        techniques: new Techniques([], [], []),
                    ),
                ),
            ),
            'handbook' => serialize($catalogue->handbook()),
            'index' => serialize(ExerciseSearch::over($catalogue)),
            'drawings' => serialize($drawings),
            'pictures' => $pictures,
        ];
        WholeFile::write(
            $this->cacheDir.'/'.self::KEPT_FILE,
            '<?php return '.var_export($kept, true).';',
        );

        return $kept;
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
            'forms' => self::yaml($dir, 'forms.yaml'),
            'things' => self::yaml($dir, 'things.yaml'),
            'hands' => self::yaml($dir, 'second-hands.yaml'),
        ]);
    }

    /**
     * @return array{
     *     ladders: array<string, mixed>,
     *     measures: mixed,
     *     vocabulary: mixed,
     *     cautions: mixed,
     *     stops: mixed,
     *     bars: mixed,
     *     impairments: mixed,
     *     tasks: mixed,
     *     screening: mixed,
     *     goals: mixed,
     *     materials: mixed,
     *     shapes: mixed,
     *     rules: mixed,
     *     scripts: mixed,
     *     release: mixed,
     * } decoded files by
     *     name, ladders by file
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
            'measures' => self::yaml($dir, 'measures.yaml'),
            'vocabulary' => self::yaml($dir, 'vocabulary.yaml'),
            'cautions' => self::yaml($dir, 'cautions.yaml'),
            'stops' => self::yaml($dir, 'stops.yaml'),
            'bars' => self::yaml($dir, 'bars.yaml'),
            'impairments' => self::yaml($dir, 'impairments.yaml'),
            'tasks' => self::yaml($dir, 'tasks.yaml'),
            'screening' => self::yaml($dir, 'screening.yaml'),
            'goals' => self::yaml($dir, 'goals.yaml'),
            'materials' => self::yaml($dir, 'materials.yaml'),
            'shapes' => self::yaml($dir, 'shapes.yaml'),
            'rules' => self::yaml($dir, 'rules.yaml'),
            'scripts' => self::yaml($dir, 'scripts.yaml'),
            'techniques' => self::yaml($dir, 'techniques.yaml'),
            'release' => self::yaml($dir, 'release.yaml'),
        ];
    }

    /** @throws InvalidData naming the file and the line */
    public static function yaml(string $dir, string $file): mixed
    {
        try {
            return Yaml::parseFile($dir.'/'.$file);
        } catch (ParseException $e) {
            throw InvalidData::at($file, $e->getMessage());
        }
    }
}

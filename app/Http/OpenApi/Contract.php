<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Shape;
use OpenApi\Analysis;
use OpenApi\Annotations as OAA;
use OpenApi\Attributes as OA;
use OpenApi\Generator;

/** Builds docs/openapi.json from the attributes of the controllers, the requests and the data objects. */
#[OA\Info(version: '1', description: 'The whole application speaks this API; scripts use it with a token.', title: 'Neat Almanac')]
#[OA\SecurityScheme(securityScheme: 'token', type: 'http', description: 'A token from POST /api/tokens.', scheme: 'bearer')]
#[OA\OpenApi(security: [['token' => []]])]
final class Contract
{
    public static function path(): string
    {
        return base_path('docs/openapi.json');
    }

    public function json(): string
    {
        $generator = (new Generator)->setVersion('3.0.0');
        $generator->addProcessor($this->requireEveryProperty(...));
        $generator->addProcessor($this->addShapes(...));
        $contract =
            $generator->generate([app_path('Http')]) ?? throw new \LogicException('There are no attributes to build the contract from.');

        return $contract->toJson(JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n";
    }

    /** What the requests take in is described by their shapes. */
    private function addShapes(Analysis $analysis): void
    {
        $shapes = [];
        foreach (ShapedRequest::shapes() as $shape) {
            $shapes += $shape->all();
        }
        $components = $analysis->openapi?->components;
        if (! $components instanceof OAA\Components) {
            throw new \LogicException('There are no components to add the shapes to.');
        }
        $components->schemas = [...$components->schemas, ...array_map(fn (Shape $shape) => $shape->schema(), array_values($shapes))];
        usort($components->schemas, fn (OAA\Schema $one, OAA\Schema $other) => $one->schema <=> $other->schema);
    }

    /** A data object always has all its properties, null or not; only what is sent in may leave some out. */
    private function requireEveryProperty(Analysis $analysis): void
    {
        /** @var OAA\Schema $schema */
        foreach ($analysis->getAnnotationsOfType(OAA\Schema::class) as $schema) {
            if (
                Generator::isDefault($schema->required) &&
                ! Generator::isDefault($schema->schema) &&
                ! Generator::isDefault($schema->properties)
            ) {
                $schema->required = array_map(fn (OAA\Property $property) => $property->property, $schema->properties);
            }
        }
    }
}

/** Made by npm run api:types; do not edit. */
export interface paths {
    "/api/v1/references": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LibraryController_list"];
        put?: never;
        post: operations["LibraryController_bringIn"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/references/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["LibraryController_get"];
        put?: never;
        post?: never;
        delete: operations["LibraryController_remove"];
        options?: never;
        head?: never;
        patch: operations["LibraryController_change"];
        trace?: never;
    };
    "/api/v1/references/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["LibraryController_restore"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/mixes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["MixesController_list"];
        put?: never;
        post: operations["MixesController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/mixes/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["MixesController_get"];
        put?: never;
        post?: never;
        delete: operations["MixesController_remove"];
        options?: never;
        head?: never;
        patch: operations["MixesController_change"];
        trace?: never;
    };
    "/api/v1/series": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SeriesController_list"];
        put?: never;
        post: operations["SeriesController_create"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["SeriesController_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/shots": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_addShot"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/series/{id}/render": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["SeriesController_render"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/shots/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        delete: operations["SeriesController_removeShot"];
        options?: never;
        head?: never;
        patch: operations["SeriesController_changeShot"];
        trace?: never;
    };
    "/api/v1/studio": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["StudioController_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakesController_list"];
        put?: never;
        post: operations["TakesController_ask"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/takes/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get: operations["TakesController_get"];
        put?: never;
        post?: never;
        delete: operations["TakesController_remove"];
        options?: never;
        head?: never;
        patch: operations["TakesController_change"];
        trace?: never;
    };
    "/api/v1/takes/{id}/cancel": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post: operations["TakesController_cancel"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        /** @enum {string} */
        Kind: "style" | "character" | "face" | "image";
        SwatchDto: {
            /** @example #4a6f8c */
            colour: string;
            /** @description part of the picture, 0..1 */
            weight: number;
        };
        ReferenceDto: {
            id: string;
            kind: components["schemas"]["Kind"];
            title: string;
            tags: string[];
            notes: string;
            /** @description px, as it came */
            width: number;
            /** @description px, as it came */
            height: number;
            /** @example jpeg */
            format: string;
            /** @description address of the sRGB picture */
            pictureUrl: string;
            /** @description address of a small version */
            thumbnailUrl: string;
            swatches: components["schemas"]["SwatchDto"][];
            /** @description mixes that use it */
            usedIn: number;
            createdAt: string;
            /** @description to be sent with every change */
            version: number;
        };
        ImportedDto: {
            reference: components["schemas"]["ReferenceDto"];
            /** @description the same file was in the library already */
            duplicate: boolean;
        };
        ChangeReferenceDto: {
            version: number;
            kind?: components["schemas"]["Kind"];
            title?: string;
            tags?: string[];
            notes?: string;
        };
        /** @enum {string} */
        Aspect: "1:1" | "3:2" | "2:3" | "4:3" | "3:4" | "16:9" | "2:1";
        MixSettingsDto: {
            aspect: components["schemas"]["Aspect"];
            seed: number;
            /** @description multiplies every reference; 1 is neutral */
            balance: number;
            /** @description how freely the seed composes: 0 one composition for every seed, 1 a free one; 1 when absent */
            spread?: number;
        };
        /** @enum {string} */
        Gives: "everything" | "look" | "palette" | "light" | "layout" | "shape" | "pose" | "place" | "thing" | "character" | "face" | "outfit";
        /** @enum {string} */
        Reading: "hint" | "loose" | "normal" | "close";
        MixInfluenceDto: {
            id: string;
            referenceId: string;
            gives: components["schemas"]["Gives"];
            weight: number;
            from: number;
            to: number;
            reading: components["schemas"]["Reading"];
            on: boolean;
        };
        MixDto: {
            id: string;
            name: string;
            prompt: string;
            avoid: string;
            settings: components["schemas"]["MixSettingsDto"];
            influences: components["schemas"]["MixInfluenceDto"][];
            updatedAt: string;
            /** @description to be sent with every change */
            version: number;
        };
        NewMixDto: {
            name?: string;
            prompt?: string;
            avoid?: string;
            settings?: components["schemas"]["MixSettingsDto"];
            influences?: components["schemas"]["MixInfluenceDto"][];
        };
        ChangeMixDto: {
            name?: string;
            prompt?: string;
            avoid?: string;
            settings?: components["schemas"]["MixSettingsDto"];
            influences?: components["schemas"]["MixInfluenceDto"][];
            version: number;
        };
        /** @enum {string} */
        TakeStatus: "queued" | "rendering" | "done" | "failed" | "cancelled";
        /** @enum {string} */
        Quality: "draft" | "proof" | "print";
        ControlDto: {
            id: string;
            pictureUrl?: string;
            thumbnailUrl?: string;
        };
        ArrivalDto: {
            influenceId: string;
            /** @description -0.2..1; absent where it cannot be measured */
            overall?: number;
            colour?: number;
            surface?: number;
            layout?: number;
        };
        UnderstoodSpanDto: {
            start: number;
            end: number;
            text: string;
            /** @example time: dusk */
            means: string;
        };
        TextSpanDto: {
            start: number;
            end: number;
            text: string;
        };
        TakeDto: {
            id: string;
            mixId?: string;
            shotId?: string;
            status: components["schemas"]["TakeStatus"];
            quality: components["schemas"]["Quality"];
            prompt: string;
            seed: number;
            width: number;
            height: number;
            influences: components["schemas"]["MixInfluenceDto"][];
            pictureUrl?: string;
            thumbnailUrl?: string;
            control?: components["schemas"]["ControlDto"];
            arrivals: components["schemas"]["ArrivalDto"][];
            /** @description 0..1 */
            wordsKept?: number;
            understood: components["schemas"]["UnderstoodSpanDto"][];
            unheard: components["schemas"]["TextSpanDto"][];
            /** @description why it failed */
            error?: string;
            keeper: boolean;
            /** @description milliseconds of rendering */
            took?: number;
            createdAt: string;
            version: number;
        };
        ShotDto: {
            id: string;
            position: number;
            title: string;
            prompt: string;
            seed: number;
            version: number;
            /** @description newest first */
            takes: components["schemas"]["TakeDto"][];
            /** @description the newest take was made from the present prompt, seed and mix */
            current: boolean;
        };
        SeriesDto: {
            id: string;
            name: string;
            mixId: string;
            shots: components["schemas"]["ShotDto"][];
            version: number;
        };
        NewShotDto: {
            title: string;
            prompt: string;
            seed?: number;
        };
        NewSeriesDto: {
            name: string;
            mixId: string;
            shots?: components["schemas"]["NewShotDto"][];
        };
        RenderSeriesDto: {
            quality?: components["schemas"]["Quality"];
        };
        RenderedSeriesDto: {
            /** @description takes that were put in line; what is up to date is not rendered again */
            queued: number;
        };
        ChangeShotDto: {
            version: number;
            title?: string;
            prompt?: string;
            seed?: number;
        };
        EngineDto: {
            name: string;
            version: string;
            /** @description what it can draw from a reference */
            gives: components["schemas"]["Gives"][];
        };
        DemoDto: {
            done: number;
            total: number;
        };
        StudioDto: {
            name: string;
            engine: components["schemas"]["EngineDto"];
            demo: components["schemas"]["DemoDto"];
            /** @description ids of the takes in line, in their order */
            line: string[];
        };
        NewTakeDto: {
            mixId: string;
            quality?: components["schemas"]["Quality"];
            /** @description the mix's own when absent */
            seed?: number;
            /** @description the mix's own when absent */
            prompt?: string;
            /** @description leave this influence out */
            without?: string;
        };
        ChangeTakeDto: {
            version: number;
            keeper: boolean;
        };
    };
    responses: never;
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
    LibraryController_list: {
        parameters: {
            query?: {
                kind?: components["schemas"]["Kind"];
                /** @description all of them must occur in title, tags or notes */
                words?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceDto"][];
                };
            };
        };
    };
    LibraryController_bringIn: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "multipart/form-data": {
                    /** Format: binary */
                    file: string;
                    /** @enum {string} */
                    kind?: "style" | "character" | "face" | "image";
                    title?: string;
                };
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ImportedDto"];
                };
            };
        };
    };
    LibraryController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceDto"];
                };
            };
        };
    };
    LibraryController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    LibraryController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeReferenceDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceDto"];
                };
            };
        };
    };
    LibraryController_restore: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReferenceDto"];
                };
            };
        };
    };
    MixesController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MixDto"][];
                };
            };
        };
    };
    MixesController_create: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewMixDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MixDto"];
                };
            };
        };
    };
    MixesController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MixDto"];
                };
            };
        };
    };
    MixesController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    MixesController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeMixDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MixDto"];
                };
            };
        };
    };
    SeriesController_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"][];
                };
            };
        };
    };
    SeriesController_create: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewSeriesDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_addShot: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewShotDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_render: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RenderSeriesDto"];
            };
        };
        responses: {
            202: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RenderedSeriesDto"];
                };
            };
        };
    };
    SeriesController_removeShot: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    SeriesController_changeShot: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeShotDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SeriesDto"];
                };
            };
        };
    };
    StudioController_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StudioDto"];
                };
            };
        };
    };
    TakesController_list: {
        parameters: {
            query: {
                mixId: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"][];
                };
            };
        };
    };
    TakesController_ask: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewTakeDto"];
            };
        };
        responses: {
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
    TakesController_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
    TakesController_remove: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
        };
    };
    TakesController_change: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChangeTakeDto"];
            };
        };
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
    TakesController_cancel: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TakeDto"];
                };
            };
        };
    };
}

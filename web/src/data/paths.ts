export const kitchenPath = (kitchenId: string) => `/api/kitchens/${kitchenId}`
